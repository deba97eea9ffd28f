<?php

declare(strict_types=1);

use App\Competency\AcknowledgeStatement;
use App\Competency\LedgerEntry;
use App\Competency\Standings;

function signOff($test, array $with = [], int $stage = 4, bool $acknowledged = true): Illuminate\Testing\TestResponse
{
    bring($test->learner, $stage, $test->by);
    $acknowledged && $stage === 4 && app(AcknowledgeStatement::class)($test->learner, $test->permit(), 1);

    return sign($test, $with);
}

function sign($test, array $with = []): Illuminate\Testing\TestResponse
{
    return $test->actingAs($with['as'] ?? $test->by)->postJson(
        "/api/competency/learners/{$test->learner->id}/permits/drill-through-10/sign-off",
        [
            ...[
                'id' => fake_uuid(),
                'pin' => '2468',
                'valid_until' => now()->addDays(90)->toDateString(),
                'companion' => false,
                'materials' => ['mild_steel'],
                'operations' => ['drill'],
                'max_diameter' => '3/8',
            ],
            ...array_diff_key($with, ['as' => 1]),
        ],
    );
}

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
});

it('signs at stage 4, with text, scope and validity in what is signed', function (): void {
    signOff($this)->assertCreated();
    $entry = LedgerEntry::query()->where('type', 'signed_off')->firstOrFail();
    expect($entry->recorded_by)->toBe($this->by->id)
        ->and($entry->details())
        ->toMatchArray([
            'statement_version' => 1,
            'scope' => ['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter_mm' => 9.525, 'min_thickness_mm' => 3],
            'valid_until' => now()->addDays(90)->toDateString().'T23:59:59Z',
        ])
        ->and($entry->details()['statement'])->toContain('never hold it by hand')
        ->and(app(Standings::class)->one($this->learner, $this->permit())->place->stage->value)->toBe(5);
});

it('is not possible below stage 4', function (int $stage): void {
    signOff($this, stage: $stage)->assertConflict()->assertJsonPath('code', 'not_ready');
    expect(LedgerEntry::query()->where('type', 'signed_off')->exists())->toBeFalse();
})->with([0, 1, 2, 3]);

it('needs the learner\'s acknowledgement of the statement in force', function (): void {
    signOff($this, acknowledged: false)->assertConflict()->assertJsonPath('code', 'not_acknowledged');
});

it('is for instructors authorised for that permit', function (): void {
    signOff($this, ['as' => $this->instructor(signs: false)])->assertForbidden()->assertJsonPath('code', 'not_authorised');
});

it('locks the PIN after five wrong ones, and signs nothing meanwhile', function (): void {
    signOff($this, ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong');
    foreach (range(2, 4) as $_) {
        sign($this, ['pin' => '0000', 'as' => $this->by->fresh()])->assertForbidden();
    }
    sign($this, ['pin' => '0000', 'as' => $this->by->fresh()])->assertTooManyRequests()->assertJsonPath('code', 'pin_locked');
    sign($this, ['as' => $this->by->fresh()])->assertTooManyRequests();
    $this->travel(16)->minutes();
    sign($this, ['as' => $this->by->fresh()])->assertCreated();
});

it('signs once however often it is sent', function (): void {
    $id = fake_uuid();
    $first = signOff($this, ['id' => $id])->assertCreated()->json('hash');
    expect(sign($this, ['id' => $id])->assertCreated()->json('hash'))->toBe($first);
    expect(LedgerEntry::query()->where('type', 'signed_off')->count())->toBe(1);
});

it('asks for a guardian where the learner is under age', function (): void {
    $this->learner->update(['born_on' => now()->subYears(16)]);
    signOff($this)->assertConflict()->assertJsonPath('code', 'guardian_missing');
    $this->learner->update(['guardian_acknowledged_on' => now()]);
    sign($this)->assertCreated();
});

it('wants the check passed again before a renewal, where the permit asks for that', function (): void {
    signOff($this)->assertCreated();
    $permit = $this->permit();
    $permit->update(['requirement' => [...$permit->requirement, 'renewal_check_days' => 60]]);
    $this->travel(61)->days();
    app(AcknowledgeStatement::class)($this->learner, $permit, 1);
    sign($this, ['valid_until' => now()->addDays(90)->toDateString()])->assertConflict()->assertJsonPath('code', 'check_stale');
    $url = "/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off";
    expect($this->getJson($url)->json())->toMatchArray([
        'reasons' => ['check_stale'], 'checks_stale' => ['SC-through-holes'], 'renewal_check_days' => 60,
    ]);
    $record = $this->getJson("/api/records/learners/{$this->learner->id}")->json('permits');
    expect(collect($record)->firstWhere('code', 'drill-through-10')['checks'][0]['stale'])->toBeTrue();
    app(App\Competency\RecordEntry::class)(
        $this->learner,
        null,
        'check_attempted',
        ['check' => 'SC-through-holes', 'passed' => true],
        $this->by,
    );
    sign($this, ['valid_until' => now()->addDays(90)->toDateString()])->assertCreated();
});

it('is refused while the permit is held', function (): void {
    bring($this->learner, 4, $this->by);
    app(AcknowledgeStatement::class)($this->learner, $this->permit(), 1);
    $this->actingAs($this->by)
        ->postJson(
            "/api/competency/learners/{$this->learner->id}/permits/drill-through-10/holds",
            ['id' => fake_uuid(), 'type' => 'incident_hold', 'reason' => 'Near miss at the vice.'],
        )
        ->assertCreated();
    sign($this)->assertConflict()->assertJsonPath('code', 'held');
});

it('says what is wrong with a scope', function (): void {
    signOff($this, ['max_diameter' => 'six', 'materials' => ['cheese']])->assertJsonValidationErrors('materials.0');
    sign($this, ['max_diameter' => 'six'])->assertJsonValidationErrors('max_diameter');
});

it('is acknowledged by the learner alone, in the version in force', function (): void {
    bring($this->learner, 4, $this->by);
    $path = "/api/competency/learners/{$this->learner->id}/permits/drill-through-10/acknowledgement";
    $this->actingAs($this->by)->postJson($path, ['id' => fake_uuid(), 'statement_version' => 1])->assertForbidden();
    $this->actingAs($this->learner)
        ->postJson($path, ['id' => fake_uuid(), 'statement_version' => 2])
        ->assertConflict()
        ->assertJsonPath('code', 'statement_changed');
    $this->postJson($path, ['id' => fake_uuid(), 'statement_version' => 1])->assertCreated();
});
