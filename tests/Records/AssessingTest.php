<?php

declare(strict_types=1);

use App\Assessment\Seat;
use App\Demo\DemoAssessments;
use App\People\Role;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/../Assessment/marks.php';

/** A sheet from its first mark to its conclusion, watched by a second instructor where there is one. */
function conduct(App\People\User $learner, App\People\User $by, ?App\People\User $second = null, string $outcome = 'passed'): void
{
    bring($learner, 3, $by);
    app(DemoAssessments::class)->conduct($learner, $outcome, $by, 'PS-through-holes', $second);
}

it('says who can be assessed today, who nearly, and what is missing', function (): void {
    $by = $this->instructor();
    [$ready, $near, $far] = [$this->person(), $this->person(), $this->person()];
    bring($ready, 3, $by);
    bring($near, 2, $by);
    bring($far, 1, $by);
    $found = $this->actingAs($by)->getJson('/api/records/ready')->assertOk();
    expect(collect($found->json('ready'))->pluck('learner.id')->all())->toBe([$ready->id])
        ->and(collect($found->json('ready.0.reasons'))->pluck('code')->all())->toContain('assessment.queue.machine_free')
        ->and(collect($found->json('nearly'))->firstWhere('learner.id', $far->id))->toBeNull();
    Machine::query()->where('kind', 'bench_drill_press')->update(['in_service' => false]);
    expect(collect($this->getJson('/api/records/ready')->json('ready.0.reasons'))->pluck('code')->all())
        ->toContain('assessment.queue.machine_taken');
    // Who failed waits, and is told for what.
    conduct($ready, $by, outcome: 'stopped');
    $after = $this->getJson('/api/records/ready');
    expect($after->json('ready'))->toBe([])->and(collect($after->json('nearly'))->firstWhere('learner.id', $ready->id)['missing'])
        ->toHaveCount(2);
    $this->actingAs($ready)->getJson('/api/records/ready')->assertForbidden();
});

it('asks the database as often for many learners as for one', function (): void {
    $by = $this->instructor();
    $asked = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->getJson('/api/records/ready')->assertOk();

        return count(DB::getQueryLog());
    };
    bring($this->person(), 3, $by);
    $this->actingAs($by);
    $asked();
    $one = $asked();
    foreach (range(1, 3) as $ignored) {
        bring($this->person(), 3, $by);
    }
    expect($asked())->toBe($one);
});

it('compares two who saw the same work, to those two and the lead alone', function (): void {
    [$first, $second, $third] = [$this->instructor(), $this->instructor(), $this->instructor()];
    foreach (range(1, 3) as $ignored) {
        conduct($this->person(), $first, $second);
    }
    $seen = $this->actingAs($second)->getJson('/api/records/assessors')->assertOk();
    expect($seen->json('pairs'))->toHaveCount(1)->and($seen->json('pairs.0.sheets'))->toBe(3)
        ->and($seen->json('pairs.0.agreement.count'))->toBe(3 * 23)
        ->and($seen->json('pairs.0.names'))->toEqualCanonicalizing([$first->name, $second->name])
        // Those on which they agree least come first.
        ->and(collect($seen->json('pairs.0.criteria'))->pluck('agreement.percent')->all())
        ->toBe(collect($seen->json('pairs.0.criteria'))->pluck('agreement.percent')->sort()->values()->all())
        ->and($seen->json('assessors'))->toBe([]);
    $this->actingAs($first);
    expect($this->getJson('/api/records/assessors')->json('assessors.0'))->of->toBe(3 * 23)->months->toHaveCount(1);
    expect($this->actingAs($third)->getJson('/api/records/assessors')->json('pairs'))->toBe([]);
    expect($this->actingAs($this->person(Role::Lead))->getJson('/api/records/assessors')->json('pairs'))->toHaveCount(1);
});

it('lays a learner\'s readings beside those of whoever assessed', function (): void {
    $by = $this->instructor();
    $learner = $this->person();
    conduct($learner, $by);
    $found = $this->actingAs($learner)->getJson("/api/assessment/learners/{$learner->id}/measuring")->assertOk();
    // Five diameters; places are no sizes.
    expect($found->json('agreement.count'))->toBe(5)->and($found->json('limits.lower_mm'))->toBeLessThan($found->json('limits.upper_mm'));
    $this->actingAs($this->person())->getJson("/api/assessment/learners/{$learner->id}/measuring")->assertForbidden();
});

it('has a card for every part, which opens by its code for whoever may see its maker', function (): void {
    $by = $this->instructor();
    [$good, $bad] = [$this->person(), $this->person()];
    conduct($good, $by);
    conduct($bad, $by, outcome: 'not_yet');
    $code = static fn (App\People\User $learner): string => (string) App\Assessment\SheetAttempt::query()
        ->where('learner_id', $learner->id)->sole()->part_code;
    $card = $this->actingAs($by)->getJson('/api/assessment/parts/'.strtolower($code($good)))->assertOk();
    expect($card->json('verdict'))->toBe('fits')->and($card->json('lines'))->toHaveCount(10)
        ->and($card->json('square'))->toStartWith('data:image/svg+xml');
    $out = $this->getJson('/api/assessment/parts/'.$code($bad))->assertJsonPath('verdict', 'rejected');
    expect(collect($out->json('lines'))->where('found.verdict', 'out'))->toHaveCount(1);
    $this->actingAs($good)->getJson('/api/assessment/parts/'.$code($good))->assertOk();
    // Somebody else's and nobody's are the same to whoever guesses, and there is no guessing on.
    $other = $this->actingAs($good)->getJson('/api/assessment/parts/'.$code($bad))->assertNotFound();
    expect($other->json())->toBe($this->getJson('/api/assessment/parts/ZZZZZZ')->assertNotFound()->json());
    $this->actingAs($by)->getJson('/api/assessment/parts/ZZZZZZ')->assertNotFound();
});

it('knows how closely a gauge repeats itself from readings that were taken twice', function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $gauge = app(App\Workshop\Gauges\SaveGauge::class)(null, [
        'name' => 'Caliper 7', 'kind' => 'caliper', 'resolution_mm' => 0.01, 'uncertainty_mm' => 0.02,
    ]);
    $path = "/api/assessment/gauges/{$gauge->slug}/repeatability";
    $this->attempt = $this->actingAs($this->by)->getJson($path)->assertOk()->json();
    expect($this->attempt['repeatability'])->toBeNull();
    $this->attempt = $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
    ])->json('id');
    put($this, 'dia-A', ['declined' => true, 'why' => 'Has a hand in plaster'], Seat::Learner->value)->assertOk();
    foreach (['9.29', '9.31', '9.30'] as $value) {
        put($this, 'dia-A', ['reading' => ['value' => $value], 'gauge' => $gauge->slug])->assertOk();
    }
    $this->getJson($path)->assertJsonPath('repeatability.sets', 1)
        ->assertJsonPath('repeatability.deviation_mm', fn ($mm): bool => abs($mm - 0.01) < 1e-9);
});
