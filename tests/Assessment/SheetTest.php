<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;

function put($test, string $criterion, array $mark): Illuminate\Testing\TestResponse
{
    return $test->putJson("/api/assessment/attempts/{$test->attempt}/marks/$criterion", $mark);
}

function fillSheet($test): void
{
    foreach (SheetAttempt::query()->with('sheet.part')->findOrFail($test->attempt)->sheet->criteria as $criterion) {
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
    $this->attempt = $this->actingAs($this->by)
        ->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->assertCreated()
        ->json('id');
});

it('is kept half filled, and opened again where it was left', function (): void {
    put($this, 'eyes', ['result' => 'met'])->assertOk()->assertJsonPath('score.outcome', 'incomplete');
    put($this, 'pos-A', ['dx' => '0.1'])->assertOk();
    $again = $this->postJson(
        '/api/assessment/attempts',
        ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id],
    )
        ->assertCreated();
    expect($again->json('id'))->toBe($this->attempt)->and($again->json('criteria.0.mark'))->toBe(['result' => 'met'])
        ->and(collect($again->json('criteria'))->firstWhere('id', 'pos-A'))->mark
        ->toEqual(['dx_mm' => 0.1, 'typed_dx' => '0.1', 'units' => 'mm'])->judged
        ->toBeNull();
});

it('is scored by the core and concluded once', function (): void {
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertConflict()->assertJsonPath('code', 'incomplete');
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")
        ->assertOk()
        ->assertJson(['outcome' => 'passed', 'score' => ['score_percent' => 100]]);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    put($this, 'eyes', ['result' => 'not_met'])->assertConflict()->assertJsonPath('code', 'concluded');
    expect(LedgerEntry::query()->where('type', 'assessment_concluded')->get())
        ->toHaveCount(1)
        ->first()
        ->details()
        ->toMatchArray(['outcome' => 'passed', 'assessment' => 'PS-through-holes']);
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
    'a prompt on eyes' => [['eyes' => ['result' => 'prompted']], 'stopped'],
    'a prompt on standstill' => [['standstill' => ['result' => 'prompted']], 'stopped'],
    'a prompt on chips' => [['chips' => ['result' => 'prompted']], 'stopped'],
    'a prompt that does not' => [['clothing' => ['result' => 'prompted']], 'passed'],
    'a wrong speed chosen' => [['speed' => ['result' => 'not_met']], 'passed'],
    'a speed set in the wrong state' => [['speed-state' => ['result' => 'not_met']], 'stopped'],
    'one hole out' => [['dia-M' => ['value' => '10.6']], 'not_yet'],
    'one hole out of place' => [['pos-B' => ['dx' => '0.5', 'dy' => '0']], 'not_yet'],
    'a reading at the limit' => [['dia-A' => ['value' => '9.3']], 'incomplete'],
    'too much missing' => [
        [
            'eased' => ['result' => 'not_met'], 'pilot' => ['result' => 'not_met'], 'tried' => ['result' => 'not_met'],
            'machine' => ['result' => 'not_met'], 'drill' => ['result' => 'not_met'],
            'lubricant' => ['result' => 'not_met'], 'speed' => ['result' => 'not_met'],
            'why-1' => ['result' => 'not_met'], 'why-2' => ['result' => 'not_met'], 'why-3' => ['result' => 'not_met'],
            'deburred' => ['result' => 'not_met'], 'clean' => ['result' => 'not_met'],
            'clothing' => ['result' => 'prompted'], 'path' => ['result' => 'prompted'], 'chips' => ['result' => 'met'],
            'speed-state' => ['result' => 'prompted'],
        ],
        'not_yet',
    ],
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

it('cannot be passed with a part that is out, however well it was made', function (): void {
    fillSheet($this);
    foreach (['A', 'B', 'C', 'D', 'M'] as $hole) {
        put($this, "dia-$hole", ['value' => '11'])->assertOk();
        $last = put($this, "pos-$hole", ['dx' => '2', 'dy' => '2'])->assertOk();
    }
    expect($last->json('score'))->outcome->toBe('not_yet')->score_percent->toEqual(50);
});

it('says of every observed point what met, prompted and not met look like, and weighs the part as much as the work', function (): void {
    $criteria = collect(SheetAttempt::query()->with('sheet')->findOrFail($this->attempt)->sheet->criteria);
    foreach ($criteria->where('kind', 'observed') as $criterion) {
        expect($criterion['levels'])->toHaveKeys(['met', 'prompted', 'not_met']);
    }
    expect($criteria->where('kind', 'measured')->sum('weight'))->toEqual($criteria->where('kind', 'observed')->sum('weight'))
        ->and($criteria->where('kind', 'measured')->pluck('hole')->unique()->values()->all())->toBe(['A', 'B', 'C', 'D', 'M']);
});

it('keeps a reading with the unit in which it was typed', function (): void {
    $this->by->update(['units' => 'in']);
    put($this, 'pos-A', ['dx' => '0.2', 'dy' => '0.1', 'units' => 'mm'])->assertOk();
    $mark = SheetAttempt::query()->findOrFail($this->attempt)->marks['pos-A'];
    expect($mark)->toMatchArray(['dx_mm' => 0.2, 'dy_mm' => 0.1, 'units' => 'mm']);
    put($this, 'dia-A', ['value' => '.359'])->assertOk();
    expect(SheetAttempt::query()->findOrFail($this->attempt)->marks['dia-A'])->toMatchArray(['units' => 'in', 'typed' => '.359']);
});

it('refuses an id that is another learner\'s sheet', function (): void {
    $this->postJson(
        '/api/assessment/attempts',
        ['id' => $this->attempt, 'sheet' => 'PS-through-holes', 'learner_id' => $this->person()->id],
    )
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
});

it('is put away when it was opened by mistake, and kept', function (): void {
    $cancel = fn (?string $reason = null) => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/cancellation",
        ['reason' => $reason],
    );
    put($this, 'eyes', ['result' => 'met'])->assertOk();
    $cancel()->assertConflict()->assertJsonPath('code', 'why_cancelled');
    $cancel('  ')->assertConflict();
    $cancel('The wrong learner')->assertOk()->assertJsonPath('cancelled_because', 'The wrong learner')
        ->assertJsonPath('concluded_at', null);
    $cancel('Another reason')->assertOk()->assertJsonPath('cancelled_because', 'The wrong learner');
    put($this, 'eyes', ['result' => 'not_met'])->assertConflict()->assertJsonPath('code', 'cancelled');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertConflict()->assertJsonPath('code', 'cancelled');
    expect(SheetAttempt::query()->findOrFail($this->attempt))->marks->toBe(['eyes' => ['result' => 'met']])
        ->cancelled_by->toBe($this->by->id)
        ->and(LedgerEntry::query()->where('type', 'assessment_concluded')->count())->toBe(0)
        ->and($this->getJson('/api/records/today')->json('waiting'))->toBe([]);
    $this->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->assertCreated()->assertJsonPath('id', fn (string $id): bool => $id !== $this->attempt);
});

it('without a mark needs no reason to be put away', function (): void {
    $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation")->assertOk();
});

it('that a slip has stopped, or that is concluded, is not put away', function (): void {
    put($this, 'eyes', ['result' => 'not_met'])->assertOk()->assertJsonPath('score.outcome', 'stopped');
    $cancel = fn () => $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation", ['reason' => 'It did not go well']);
    $cancel()->assertConflict()->assertJsonPath('code', 'stopped_stands');
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    $cancel()->assertConflict()->assertJsonPath('code', 'concluded');
});

it('is put away by whoever may mark it, and nobody else', function (): void {
    $path = "/api/assessment/attempts/{$this->attempt}/cancellation";
    $this->actingAs($this->learner)->postJson($path)->assertForbidden();
    $this->actingAs($this->person(App\People\Role::Auditor))->postJson($path)->assertForbidden();
    expect(SheetAttempt::query()->findOrFail($this->attempt)->cancelled_at)->toBeNull();
});
