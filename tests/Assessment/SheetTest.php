<?php

declare(strict_types=1);

use App\Assessment\Attempt;
use App\Competency\LedgerEntry;

function put($test, string $criterion, array $mark): Illuminate\Testing\TestResponse
{
    return $test->putJson("/api/assessment/attempts/{$test->attempt}/marks/$criterion", $mark);
}

function fillSheet($test): void
{
    foreach (Attempt::query()->with('sheet.part')->findOrFail($test->attempt)->sheet->criteria as $criterion) {
        put($test, $criterion['id'], match (true) {
            $criterion['kind'] === 'observed' => ['result' => 'met'],
            $criterion['measure'] === 'position' => ['dx' => '0.1', 'dy' => '-0.1'],
            default => ['value' => $criterion['hole'] === 'M' ? '10.1' : '9.1'],
        })->assertOk();
    }
}

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])->assertCreated()->json('id');
});

it('is kept half filled, and opened again where it was left', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk()->assertJsonPath('score.outcome', 'incomplete');
    put($this, 'pos-A', ['dx' => '0.1'])->assertOk();
    $again = $this->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])->assertCreated();
    expect($again->json('id'))->toBe($this->attempt)->and($again->json('criteria.0.mark'))->toBe(['result' => 'met'])
        ->and(collect($again->json('criteria'))->firstWhere('id', 'pos-A'))->mark->toBe(['dx_mm' => 0.1, 'typed_dx' => '0.1'])->judged->toBeNull();
});

it('is scored by the core and concluded once', function (): void {
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertConflict()->assertJsonPath('code', 'incomplete');
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJson(['outcome' => 'passed', 'score' => ['score_percent' => 100]]);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    put($this, 'eyes', ['result' => 'not_met'])->assertConflict()->assertJsonPath('code', 'concluded');
    expect(LedgerEntry::query()->where('type', 'assessment_concluded')->get())->toHaveCount(1)->first()->details()->toMatchArray(['outcome' => 'passed', 'assessment' => 'PS-through-holes']);
});

it('comes to what its marks come to', function (array $marks, string $outcome): void {
    fillSheet($this);
    foreach ($marks as $criterion => $mark) {
        $last = put($this, $criterion, $mark)->assertOk();
    }
    expect($last->json('score.outcome'))->toBe($outcome);
})->with([
    'a critical slip stops' => [['key' => ['result' => 'not_met']], 'stopped'],
    'a prompt that stops' => [['held' => ['result' => 'prompted']], 'stopped'],
    'a prompt that does not' => [['eyes' => ['result' => 'prompted']], 'passed'],
    'a reading at the limit' => [['dia-A' => ['value' => '9.3']], 'incomplete'],
    'too much missing' => [['speed' => ['result' => 'not_met'], 'eased' => ['result' => 'not_met'], 'pilot' => ['result' => 'not_met'], 'dia-A' => ['value' => '9.6'], 'dia-C' => ['value' => '9.6']], 'not_yet'],
    'a mark taken back' => [['eyes' => ['result' => null]], 'incomplete'],
]);

it('takes readings in any unit and refuses what is none', function (): void {
    expect(collect(put($this, 'dia-A', ['value' => '.359 in'])->json('criteria'))->firstWhere('id', 'dia-A'))->judged->verdict->toBe('in')
        ->mark->typed->toBe('.359 in');
    put($this, 'dia-A', ['value' => 'nine'])->assertUnprocessable()->assertJsonPath('code', 'invalid_input');
});

it('is read by its learner and nobody else\'s', function (): void {
    $this->actingAs($this->learner)->getJson("/api/assessment/attempts/{$this->attempt}")->assertOk();
    put($this, 'eyes', ['result' => 'met'])->assertForbidden();
    $this->actingAs($this->person())->getJson("/api/assessment/attempts/{$this->attempt}")->assertForbidden();
});
