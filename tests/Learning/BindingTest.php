<?php

declare(strict_types=1);

use App\Learning\Binding;
use App\Learning\Lesson;
use App\Learning\OpenLesson;
use App\People\Cohort;
use App\People\Role;

beforeEach(function (): void {
    all_permits();
    $this->cohort = Cohort::query()->create(['name' => 'Tuesday', 'starts_on' => now()->subMonth()]);
    $this->other = Cohort::query()->create(['name' => 'Friday', 'starts_on' => now()->subMonth()]);
    $this->learner = $this->person();
    $this->learner->cohorts()->attach($this->cohort);
    $this->by = $this->instructor();
    $this->by->update(['all_cohorts' => false]);
    $this->by->cohorts()->attach($this->cohort);
});

function bind($test, string $code, array $to, ?Cohort $cohort = null): Illuminate\Testing\TestResponse
{
    return $test->actingAs($test->by)->putJson("/api/learning/lessons/$code/bindings/".($cohort ?? $test->cohort)->id, $to);
}

function figure_of($test, string $code, string $key): mixed
{
    $test->refreshApplication = false;

    return $test->actingAs($test->learner)->getJson("/api/learning/lessons/$code")->assertOk()->json('figures')[$key] ?? null;
}

it('shows a class the figures of the machine that was chosen for it, in its own scale', function (): void {
    expect(figure_of($this, 'D9', 'dial.division')['value'])->toEqualWithDelta(0.1, 1e-9);
    bind($this, 'D9', ['machine' => 'inch-lathe', 'cribs' => ['metric-half', 'centre-drills']])->assertOk()
        ->assertJson(['machine' => 'inch-lathe', 'part' => null]);
    $this->app->forgetScopedInstances();
    $lesson = $this->actingAs($this->learner)->getJson('/api/learning/lessons/D9')->assertOk();
    expect($lesson->json('machine.name'))->toBe('Inch lathe')->and($lesson->json('machine.depth_scale.unit'))->toBe('in')
        ->and($lesson->json('figures')['part_off.divisions']['value'])->toBe(284)
        ->and($lesson->json('machine.crib'))->toContain('Metric set by 0.5');
    // Another class keeps what the lesson was written for.
    $this->app->forgetScopedInstances();
    $friday = $this->person();
    $friday->cohorts()->attach($this->other);
    expect($this->actingAs($friday)->getJson('/api/learning/lessons/D9')->json('machine.name'))->toBe('Metric lathe');
});

it('gives each learner a size of their own, and judges their readings by it', function (): void {
    bind($this, 'D3b', ['sizes' => [['key' => 'part.outside_mm', 'from' => '26', 'to' => '28', 'step' => '0.5']]])->assertOk();
    $sizes = [];
    foreach ([$this->learner, ...array_map(fn () => $this->person(), range(1, 6))] as $each) {
        $each->cohorts()->syncWithoutDetaching($this->cohort);
        $this->app->forgetScopedInstances();
        $lesson = $this->actingAs($each)->getJson('/api/learning/lessons/D3b')->assertOk();
        $own = $lesson->json('own_sizes.0.value_mm');
        expect((float) $lesson->json('figures')['turn.to']['value'])->toEqualWithDelta($own, 1e-9);
        $sizes[] = $own;
    }
    expect(count(array_unique($sizes)))->toBeGreaterThan(1)->and(min($sizes))->toBeGreaterThanOrEqual(26)
        ->and(max($sizes))->toBeLessThanOrEqual(28);
});

it('refuses what cannot be made, says what is missing, and keeps what was', function (array $to, string $says): void {
    bind($this, 'C11', ['machine' => 'bench-drill'])->assertOk();
    $before = Binding::query()->sole()->only(['part_id', 'machine_id', 'cribs', 'sizes']);
    $refused = bind($this, 'C11', $to)->assertUnprocessable();
    expect(json_encode($refused->json()))->toContain($says)
        ->and(Binding::query()->sole()->only(['part_id', 'machine_id', 'cribs', 'sizes']))->toEqual($before);
})->with([
    'a crib without the reamer' => [['cribs' => ['metric-half']], 'reamer'],
    'a crib that there is not' => [['cribs' => ['nowhere']], 'cribs.0'],
    'a machine that there is not' => [['machine' => 'nowhere'], 'machine'],
    'a range that turns back' => [['sizes' => [['key' => 'hole.diameter_mm', 'from' => '10', 'to' => '8', 'step' => '1']]], '10'],
    'an end of the range that no reamer has' => [
        ['sizes' => [['key' => 'hole.diameter_mm', 'from' => '10', 'to' => '11', 'step' => '1']]], '11',
    ],
    'a size that is no length' => [
        ['sizes' => [['key' => 'hole.diameter_mm', 'from' => 'ten', 'to' => '11', 'step' => '1']]],
        'sizes.0.from',
    ],
    'forty digits' => [
        ['sizes' => [['key' => 'hole.diameter_mm', 'from' => str_repeat('9', 40), 'to' => '11', 'step' => '1']]],
        'sizes.0.from',
    ],
    'a key that is none' => [['sizes' => [['key' => 'policy.pilot', 'from' => '1', 'to' => '2', 'step' => '1']]], 'sizes.0.key'],
]);

it('is for whoever teaches the class, and for nobody else', function (): void {
    bind($this, 'C11', [], $this->other)->assertForbidden();
    $this->deleteJson('/api/learning/lessons/C11/bindings/'.$this->other->id)->assertForbidden();
    foreach ([$this->learner, $this->person(Role::Auditor)] as $stranger) {
        $this->actingAs($stranger)->putJson('/api/learning/lessons/C11/bindings/'.$this->cohort->id, [])->assertForbidden();
        $this->getJson('/api/learning/lessons/C11/bindings')->assertForbidden();
    }
    $cohorts = $this->actingAs($this->by)->getJson('/api/learning/lessons/C11/bindings')->assertOk()->json('cohorts');
    expect(array_column($cohorts, 'name'))->toBe(['Tuesday']);
    bind($this, 'A1', [])->assertConflict()->assertJsonPath('code', 'not_bound');
    bind($this, 'C99', [])->assertNotFound();
});

it('is one for each class however often it is sent, and gone once it is taken back', function (): void {
    bind($this, 'C8', ['machine' => 'bench-drill'])->assertOk();
    $seed = Binding::query()->sole()->seed;
    bind($this, 'C8', ['machine' => 'bench-drill'])->assertOk();
    expect(Binding::query()->sole()->seed)->toBe($seed);
    $path = '/api/learning/lessons/C8/bindings/'.$this->cohort->id;
    $this->deleteJson($path)->assertNoContent();
    $this->deleteJson($path)->assertNoContent();
    expect(Binding::query()->count())->toBe(0)
        ->and(Illuminate\Support\Facades\DB::table('records_audit')->where('source', 'learning_bindings')->count())->toBeGreaterThan(1);
});

it('takes the thickness and the metal of the part that was chosen', function (): void {
    expect(figure_of($this, 'C14', 'work.thickness')['value'])->toBe(30);
    bind($this, 'C8', ['part' => 'foot-plate'])->assertUnprocessable();
    $this->app->forgetScopedInstances();
    bind($this, 'C6', ['part' => 'terminal-block'])->assertUnprocessable();
});

it('keeps the figures of a lesson for whoever only reads it', function (): void {
    bind($this, 'D9', ['machine' => 'inch-lathe', 'cribs' => ['metric-half', 'centre-drills']])->assertOk();
    $this->app->forgetScopedInstances();
    expect($this->actingAs($this->by)->getJson('/api/learning/lessons/D9')->json('machine.name'))->toBe('Metric lathe');
});

it('judges a learner\'s reading by the class\'s own machine', function (): void {
    bind($this, 'D2', ['machine' => 'inch-lathe'])->assertOk();
    $this->app->forgetScopedInstances();
    $progress = app(OpenLesson::class)($this->learner, Lesson::current('D2'));
    $path = "/api/learning/progress/$progress->id/steps/";
    $this->actingAs($this->learner);
    foreach (['why', 'face'] as $step) {
        $this->putJson($path.$step, [])->assertOk();
    }
    $this->putJson($path.'sum', ['value' => '8'])->assertOk()->assertJsonPath('steps.2.answer.verdict', 'out');
    $this->putJson($path.'sum', ['value' => '2-3/4 in'])->assertOk()->assertJsonPath('steps.2.answer.verdict', 'in');
});
