<?php

declare(strict_types=1);

use App\Assessment\Mark;
use App\Assessment\SheetAttempt;

require_once __DIR__.'/marks.php';

/** How a sheet is gone through: by the clock, and on paper. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->attempt = $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id,
    ])->assertCreated()->json('id');
    $this->say = fn (string $moment, ?string $id = null, ?string $at = null) => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/conduct",
        ['id' => $id ?? fake_uuid(), 'moment' => $moment, 'made_at' => $at ?? now()->toIso8601ZuluString()],
    );
    $this->paper = fn (string $text, ?string $id = null) => $this->postJson(
        "/api/assessment/attempts/{$this->attempt}/paper",
        ['id' => $id ?? fake_uuid(), 'text' => $text, 'why' => 'Read from the printed sheet'],
    );
    $this->line = function (string $criterion): int {
        $lines = SheetAttempt::withSheet()->findOrFail($this->attempt)->criteria();

        return (int) array_search($criterion, array_column($lines, 'id'), true) + 1;
    };
});

it('takes what happens in its order, once each, and counts what was worked', function (): void {
    ($this->say)('power_on')->assertConflict()->assertJsonPath('code', 'not_now');
    ($this->say)('started', $id = fake_uuid())->assertOk()->assertJsonPath('conduct.next', ['power_on', 'ended', 'paused']);
    ($this->say)('started', $id)->assertOk();
    ($this->say)('started')->assertConflict();
    ($this->say)('paused', $id)->assertConflict()->assertJsonPath('code', 'id_used');
    $this->travel(10)->minutes();
    ($this->say)('paused')->assertOk()->assertJsonPath('conduct.paused', true);
    $this->travel(30)->minutes();
    ($this->say)('power_on')->assertConflict();
    ($this->say)('resumed')->assertOk();
    ($this->say)('power_on')->assertOk();
    $this->travel(5)->minutes();
    ($this->say)('ended')->assertOk()->assertJsonPath('conduct.worked_s', 15 * 60)->assertJsonPath('conduct.next', []);
    expect(Mark::query()->where('kind', 'conduct')->count())->toBe(5);
});

it('takes a time that is not yet for now, and one before the sheet for its opening; what was said stays', function (): void {
    $this->travel(5)->minutes();
    ($this->say)('started', at: now()->subDay()->toIso8601ZuluString())->assertOk();
    ($this->say)('power_on', at: now()->addDay()->toIso8601ZuluString())->assertOk();
    [$started, $power] = Mark::query()->where('kind', 'conduct')->orderBy('seq')->get()->all();
    expect($started->made_at->equalTo(SheetAttempt::query()->findOrFail($this->attempt)->started_at))->toBeTrue()
        ->and($started->said_at?->isYesterday())->toBeTrue()->and(abs($power->made_at->diffInSeconds(now())))->toBeLessThan(1);
});

it('is said by whoever may assess it and nobody else, and on no sheet that has ended', function (): void {
    $this->actingAs($this->instructor(signs: false));
    ($this->say)('started')->assertForbidden()->assertJsonPath('code', 'not_authorised');
    ($this->paper)('1 +')->assertForbidden();
    $this->actingAs($this->learner);
    ($this->say)('started')->assertForbidden();
    ($this->paper)('1 +')->assertForbidden();
    $this->actingAs($this->by);
    ($this->say)('started')->assertOk();
    fillSheet($this);
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('conduct.next', []);
    ($this->say)('ended')->assertConflict()->assertJsonPath('code', 'concluded');
    ($this->paper)('1 +')->assertConflict();
});

it('is no mark: a sheet on which only the clock was said is put away as if it had never been', function (): void {
    ($this->say)('started')->assertOk();
    $this->travel(4)->minutes();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/cancellation", ['because' => 'opened_by_mistake'])->assertOk()
        ->assertJsonPath('put_away_counts', false);
    // The clock stands still then.
    $this->travel(1)->hours();
    $this->getJson("/api/assessment/attempts/{$this->attempt}")->assertJsonPath('conduct.worked_s', 4 * 60);
});

it('reads a printed sheet back, all of it or nothing, and the same reading once', function (): void {
    ($this->paper)('1-3 +; 4 x')->assertUnprocessable()->assertJsonValidationErrors('text');
    ($this->paper)('1-3 +; '.($this->line)('dia-A').' +')->assertUnprocessable();
    expect(Mark::query()->count())->toBe(0);
    ($this->paper)("1-3 +\n4 o", $id = fake_uuid())->assertOk()->assertJsonPath('criteria.0.mark.result', 'met')
        ->assertJsonPath('criteria.3.mark.result', 'prompted')->assertJsonPath('criteria.4.mark', null);
    ($this->paper)("1-3 +\n4 o", $id)->assertOk();
    expect(Mark::query()->count())->toBe(4);
    // What was marked otherwise at the machine is changed, and says why.
    put($this, 'tried', ['result' => 'met'])->assertOk();
    $this->travel(5)->minutes();
    ($this->paper)(($this->line)('tried').' -')->assertOk()->assertJsonPath('criteria.6.mark.result', 'not_met')
        ->assertJsonPath('criteria.6.mark.why', 'Read from the printed sheet');
});

it('reads what stops last, wherever it stands on the paper', function (): void {
    $last = ($this->line)(reasons($this)[2]);
    ($this->paper)("1 +; 2 -; 3-$last +")->assertOk()->assertJsonPath('stopped.criterion', 'eyes');
    expect(Mark::query()->where('kind', 'verdict')->count())->toBe($last);
});
