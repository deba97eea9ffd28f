<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\Competency\AcknowledgeStatement;
use App\Competency\LedgerEntry;
use App\Competency\ShownHere;
use App\Competency\Standings;
use App\Workshop\Machine;

require_once __DIR__.'/marks.php';

/** A permit signs for what was shown. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 3, $this->by);
    $this->actingAs($this->by);
    $this->open = fn (?string $piece = null, ?string $machine = null) => $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id, 'variant' => $piece, 'machine' => $machine,
    ]);
    $this->passed = function (?string $piece = null): void {
        $this->attempt = ($this->open)($piece)->assertCreated()->json('id');
        fillSheet($this);
        $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('outcome', 'passed');
    };
    $this->sign = function (array $materials): Illuminate\Testing\TestResponse {
        $record = app(Standings::class)->one($this->learner, $this->permit())->record;
        $record->acknowledged === 1 || app(AcknowledgeStatement::class)($this->learner, $this->permit(), 1);

        return $this->postJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off", [
            'id' => fake_uuid(), 'pin' => '2468', 'valid_until' => now()->addDays(9)->toDateString(), 'companion' => false,
            'materials' => $materials, 'operations' => ['drill'], 'max_diameter' => '10', 'min_thickness' => '3',
        ]);
    };
});

it('signs for the materials of the pieces that were passed, and widens by one more sheet', function (): void {
    ($this->passed)();
    ($this->sign)(['mild_steel', 'aluminium_6000'])->assertConflict()->assertJsonPath('code', 'not_shown');
    ($this->sign)(['mild_steel'])->assertCreated();
    ($this->passed)('aluminium');
    ($this->sign)(['mild_steel', 'aluminium_6000'])->assertCreated();
    expect(LedgerEntry::query()->where('type', 'assessment_concluded')->latest('seq')->firstOrFail()->details())
        ->toMatchArray([
            'variant' => 'aluminium', 'further_piece' => true,
            'shows' => [['materials' => ['aluminium_6000'], 'operation' => 'drill', 'up_to_mm' => 10]],
        ]);
});

it('loses nothing by a further piece that is not passed, and all by one that is stopped', function (): void {
    $shown = fn (): array => array_column(app(ShownHere::class)->of($this->learner, $this->permit())->toArray(), 'materials');
    $stage = fn (): int => app(Standings::class)->one($this->learner, $this->permit())->place->stage->value;
    ($this->passed)();
    $first = $this->attempt;
    ($this->sign)(['mild_steel'])->assertCreated();
    $this->policy(['sheet_wait_hours' => 0, 'sheet_exercises' => 0]);
    $this->attempt = ($this->open)('aluminium')->assertCreated()->json('id');
    fillSheet($this);
    $out = fn (string $seat) => put($this, 'dia-M', ['reading' => ['value' => '11'], 'why' => 'Read again'], $seat)->assertOk();
    [$out('learner'), $out('assessor')];
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk()->assertJsonPath('outcome', 'not_yet');
    expect($shown())->toBe([['mild_steel']])->and($stage())->toBe(5);
    $rests = $this->getJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off")->json('rests_on.sheets');
    expect(array_column($rests, 'attempt'))->toBe([$first]);
    $this->attempt = ($this->open)('aluminium')->assertCreated()->json('id');
    put($this, 'key', ['result' => 'not_met'])->assertOk();
    $this->postJson("/api/assessment/attempts/{$this->attempt}/conclusion")->assertOk();
    expect($shown())->toBe([])->and($stage())->toBe(3);
    $rests = $this->getJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off")->json('rests_on.sheets');
    expect(array_column($rests, 'attempt'))->toBe([$this->attempt]);
});

it('shows again what a correction took back, where the correction is taken back itself', function (): void {
    ($this->passed)();
    $shown = fn (): array => app(ShownHere::class)->of($this->learner, $this->permit())->toArray();
    $passed = LedgerEntry::query()->where('type', 'assessment_concluded')->sole();
    $record = app(App\Competency\RecordEntry::class);
    $taken = $record($this->learner, null, 'corrected', ['entry' => $passed->id, 'reason' => 'The wrong learner'], $this->by);
    expect($shown())->toBe([]);
    $record($this->learner, null, 'corrected', ['entry' => $taken->id, 'reason' => 'It was the right one'], $this->by);
    expect($shown())->toHaveCount(1);
});

it('takes a pass from before a conclusion said so as its sheet says today', function (): void {
    bring($this->learner, 4, $this->by);
    expect(app(ShownHere::class)->of($this->learner, $this->permit())->toArray())
        ->toBe([['operation' => 'drill', 'materials' => ['mild_steel'], 'up_to_mm' => 10.0]]);
    ($this->sign)(['aluminium_6000'])->assertConflict()->assertJsonPath('code', 'not_shown');
    ($this->sign)(['mild_steel'])->assertCreated();
});

it('offers the pieces and the machines that a sheet may be done on, and refuses others', function (): void {
    ($this->passed)();
    $path = "/api/assessment/sheets/PS-through-holes/opening/{$this->learner->id}";
    $offered = $this->getJson($path)->assertOk();
    expect($offered->json('pieces.*.key'))->toBe(['steel', 'aluminium'])
        ->and($offered->json('pieces.*.outcome'))->toBe(['passed', null])
        ->and($offered->json('machines.*.slug'))->not->toBe([]);
    $machine = $offered->json('machines.0.slug');
    ($this->open)('wood')->assertConflict()->assertJsonPath('code', 'no_piece');
    $lathe = Machine::query()->where('kind', 'lathe')->first()
        ?? Machine::query()->where('slug', $machine)->firstOrFail()->replicate()
            ->fill(['slug' => 'a-lathe', 'kind' => 'lathe', 'name' => 'A lathe']);
    $lathe->save();
    ($this->open)('aluminium', $lathe->slug)->assertConflict()->assertJsonPath('code', 'not_this_machine');
    ($this->open)('aluminium', 'nowhere')->assertUnprocessable();
    ($this->open)('aluminium', $machine)->assertCreated()->assertJsonPath('sheet.material', 'Aluminium alloy 6000 series (wrought)');
    expect(SheetAttempt::query()->whereNull('concluded_at')->sole()->machine?->slug)->toBe($machine);
    $this->actingAs($this->learner)->getJson($path)->assertForbidden();
});
