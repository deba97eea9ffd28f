<?php

declare(strict_types=1);

use App\Competency\AcknowledgeStatement;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\Statement;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    bring($this->learner, 4, $this->by);
    app(AcknowledgeStatement::class)($this->learner, $this->permit(), 1);
    $this->path = "/api/competency/learners/{$this->learner->id}/permits/drill-through-10/sign-off";
    $this->sign = fn (array $with = []) => $this->actingAs($this->by)->postJson($this->path, [...[
        'id' => fake_uuid(), 'pin' => '2468', 'valid_until' => now()->addDays(90)->toDateString(), 'companion' => false,
        'materials' => ['mild_steel'],
    ], ...$with]);
});

it('never says more than the permit', function (array $with, string $code): void {
    ($this->sign)(array_map(fn ($value) => $value instanceof Closure ? $value() : $value, $with))
        ->assertConflict()
        ->assertJsonPath('code', $code);
    expect(LedgerEntry::query()->where('type', 'signed_off')->exists())->toBeFalse();
})->with([
    'five years' => [['valid_until' => fn () => now()->addYears(5)->subDay()->toDateString()], 'valid_too_long'],
    'a day too long' => [['valid_until' => fn () => now()->addDays(366)->toDateString()], 'valid_too_long'],
    'until yesterday' => [['valid_until' => fn () => now()->subDay()->toDateString()], 'valid_past'],
    '50 mm' => [['max_diameter' => '50'], 'scope_diameter'],
    'reaming' => [['operations' => ['drill', 'ream']], 'scope_operation'],
    'acrylic' => [['materials' => ['mild_steel', 'acrylic']], 'scope_material'],
    'thin sheet' => [['min_thickness' => '1'], 'scope_thickness'],
]);

it('signs the permit\'s own limits where nothing narrower is said, once all of it was shown', function (): void {
    ($this->sign)(['materials' => null])->assertConflict()->assertJsonPath('code', 'not_shown');
    app(App\Competency\RecordEntry::class)($this->learner, null, 'assessment_concluded', [
        'assessment' => 'PS-through-holes', 'outcome' => 'passed', 'variant' => 'aluminium', 'further_piece' => true,
        'shows' => [['operation' => 'drill', 'materials' => ['aluminium_6000'], 'up_to_mm' => 10]],
    ], $this->by);
    ($this->sign)(['materials' => null])->assertCreated();
    expect(LedgerEntry::query()->where('type', 'signed_off')->sole()->details()['scope'])->toEqual([
        'materials' => ['mild_steel', 'aluminium_6000'],
        'operations' => ['drill'],
        'max_diameter_mm' => 10,
        'min_thickness_mm' => 3,
    ]);
});

it('reads lengths in the instructor\'s own units', function (): void {
    $this->by->update(['units' => 'in']);
    ($this->sign)(['max_diameter' => '.375', 'min_thickness' => '1/8'])->assertCreated();
    expect(LedgerEntry::query()->where('type', 'signed_off')->sole()->details()['scope'])->max_diameter_mm
        ->toEqualWithDelta(9.525, 1e-9)->min_thickness_mm
        ->toEqualWithDelta(3.175, 1e-9);
});

it('ends at the end of the day in the shop, not in Greenwich', function (string $date, string $end): void {
    $this->travelTo('2031-03-20T10:00:00Z');
    $this->policy(['time_zone' => 'Europe/Dublin']);
    ($this->sign)(['valid_until' => $date])->assertCreated();
    expect(LedgerEntry::query()->where('type', 'signed_off')->sole()->details()['valid_until'])->toBe($end);
})->with([
    ['2031-03-29', '2031-03-29T23:59:59Z'],
    ['2031-03-30', '2031-03-30T22:59:59Z'],
    ['2031-10-25', '2031-10-25T22:59:59Z'],
    ['2031-10-26', '2031-10-26T23:59:59Z'],
]);

it('is asked for the permits that this one builds on', function (): void {
    $permit = $this->permit();
    $bench = Permit::query()->create([
        'code' => 'bench',
        'name' => 'Bench work',
        'requirement' => ['lessons' => [], 'checks' => [], 'practice_count' => 0, 'practice_minutes' => 0, 'assessments' => []],
        'validity_days' => 365,
        'scope' => [],
    ]);
    Statement::query()->create(['permit_id' => $bench->id, 'version' => 1, 'body' => 'Bench.', 'in_force_from' => now()->subDay()]);
    $permit->update(['requirement' => [...$permit->requirement, 'prerequisites' => ['bench']]]);
    ($this->sign)()->assertConflict()->assertJsonPath('code', 'prerequisite_missing');
    $this->getJson($this->path)->assertJsonPath('reasons', ['prerequisite_missing']);
    app(App\Competency\RecordEntry::class)(
        $this->learner,
        $bench->load('statements'),
        'signed_off',
        ['statement_version' => 1, 'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => (object) []],
        $this->by,
    );
    ($this->sign)()->assertCreated();
});

it('shows on the screen the very reasons for which the server refuses', function (Closure $spoil, string $code): void {
    $spoil($this);
    $shown = $this->actingAs($this->by->refresh())->getJson($this->path)->assertOk()->json('reasons');
    expect($shown[0])->toBe($code);
    $refused = ($this->sign)();
    expect($refused->json('code'))->toBe($code)->and($refused->status())->toBeIn([403, 409]);
})->with([
    'held' => [
        fn ($test) => app(App\Competency\PlaceHold::class)($test->learner, $test->permit(), $test->by, 'suspended', 'For a talk.'),
        'held',
    ],
    'gone' => [fn ($test) => $test->learner->update(['active' => false]), 'learner_inactive'],
    'under age' => [fn ($test) => $test->learner->update(['born_on' => now()->subYears(16)]), 'guardian_missing'],
    'a new statement' => [
        fn ($test) => Statement::query()->create([
            'permit_id' => $test->permit()->id,
            'version' => 2,
            'body' => 'New.',
            'in_force_from' => now(),
        ]),
        'not_acknowledged',
    ],
    'not authorised' => [fn ($test) => $test->by->signsFor()->detach(), 'not_authorised'],
    'failed again' => [
        fn ($test) => app(App\Competency\RecordEntry::class)(
            $test->learner,
            null,
            'assessment_concluded',
            ['assessment' => 'PS-through-holes', 'outcome' => 'stopped'],
            $test->by,
        ),
        'not_ready',
    ],
]);

it('offers no more than the permit covers', function (): void {
    $shown = $this->actingAs($this->by)->getJson($this->path)->assertOk();
    expect(array_column($shown->json('materials'), 'key'))
        ->toEqualCanonicalizing(['mild_steel', 'aluminium_6000'])
        ->and($shown->json('operations'))
        ->toBe(['drill'])
        ->and($shown->json('reasons'))
        ->toBe([]);
});
