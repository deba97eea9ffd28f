<?php

declare(strict_types=1);

use App\Competency\CorrectEntry;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Competency\Standings;
use App\Competency\Statement;

beforeEach(fn () => at_a_gate($this));

it('forgets the scope of a signature that was corrected, at the gate as on the page', function (): void {
    $this->permit()->update(['scope' => [...$this->permit()->scope, 'max_diameter_mm' => 40]]);
    $wide = app(RecordEntry::class)(
        $this->learner,
        $this->permit(),
        'signed_off',
        ['statement_version' => 1, 'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => ['max_diameter_mm' => 40]],
        $this->by,
    );
    hold_badge($this, 'LEARNER', ['request' => [...STEEL, 'diameter_mm' => 30]])->assertJson(['decision' => 'alone']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish']);
    app(CorrectEntry::class)($wide, $this->by, 'That was another learner.', '2468');
    hold_badge($this, 'LEARNER', ['request' => [...STEEL, 'diameter_mm' => 30]])
        ->assertJson(['decision' => 'no'])
        ->assertJsonPath('reasons.0', 'outside_scope_diameter');
    app('auth')->forgetGuards();
    $this->flushHeaders()
        ->actingAs($this->by)
        ->getJson("/api/records/learners/{$this->learner->id}")
        ->assertJsonPath('permits.0.signed_off.scope.max_diameter_mm', 10);
});

it('counts on the page what counts on the ladder, and nothing that was taken back', function (): void {
    $practice = LedgerEntry::query()->where('type', 'practice_confirmed')->orderBy('seq')->firstOrFail();
    $check = LedgerEntry::query()->where('type', 'check_attempted')->sole();
    app(CorrectEntry::class)($practice, $this->by, 'Confirmed twice.', '2468');
    app(CorrectEntry::class)($check, $this->by, 'Somebody else sat it.', '2468');
    $page = $this->actingAs($this->by)->getJson("/api/records/learners/{$this->learner->id}")->assertOk();
    expect($page->json('permits.0.practice'))
        ->toMatchArray(['count' => 2, 'minutes' => 80])
        ->and($page->json('permits.0.checks.0.passed'))
        ->toBeFalse()
        ->and(collect($page->json('ledger'))->where('corrected', true)->pluck('type')->sort()->values()->all())
        ->toBe(['check_attempted', 'practice_confirmed']);
});

it('does not run in circles where two permits ask for each other', function (): void {
    $permit = $this->permit();
    $other = Permit::query()->create([
        'code' => 'other',
        'name' => 'Other',
        'requirement' => [...$permit->requirement, 'prerequisites' => [$permit->code]],
        'validity_days' => 365,
        'scope' => [],
    ]);
    Statement::query()->create(['permit_id' => $other->id, 'version' => 1, 'body' => 'Other.', 'in_force_from' => now()->subDay()]);
    $permit->update(['requirement' => [...$permit->requirement, 'prerequisites' => ['other']]]);
    app(RecordEntry::class)(
        $this->learner,
        $other->load('statements'),
        'signed_off',
        ['statement_version' => 1, 'valid_until' => now()->addYear()->toIso8601ZuluString(), 'scope' => (object) []],
        $this->by,
    );
    $standings = app(Standings::class)->of(collect([$this->learner]), Permit::query()->with('statements')->get())[$this->learner->id];
    // Neither carries the other: a circle is nobody's permission.
    expect($standings[$permit->code]->place->lapsed?->value)
        ->toBe('prerequisite')
        ->and($standings['other']->place->lapsed?->value)
        ->toBe('prerequisite');
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'no'])->assertJsonPath('reasons.0', 'lapsed_prerequisite');
});

it('says what was on record at an instant in the past', function (): void {
    $before = now();
    $this->travel(1)->hours();
    app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'For a talk.');
    $standing = fn ($asOf) => app(Standings::class)->of(
        collect([$this->learner]),
        collect([$this->permit()]),
        $asOf,
    )[$this->learner->id]['drill-through-10'];
    expect($standing($before->toImmutable())->place->held)->toBeFalse()->and($standing(null)->place->held)->toBeTrue();
});

it('keeps a hold that a fast clock dated into the future, and records nothing before what stands', function (): void {
    $this->travel(20)->hours();
    app(PlaceHold::class)($this->learner, $this->permit(), $this->by, 'incident_hold', 'Near miss at the vice.');
    $fast = LedgerEntry::query()->latest('seq')->firstOrFail()->recorded_at;
    // The clock is put right.
    $this->travelBack();
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'reasons' => ['held']]);
    app(RecordEntry::class)($this->person(), null, 'check_attempted', ['check' => 'X', 'passed' => true], $this->by);
    expect(LedgerEntry::query()->latest('seq')->firstOrFail()->recorded_at->greaterThanOrEqualTo($fast))->toBeTrue();
});

it('does not write what it could not read again', function (array $entry): void {
    expect(
        fn () => app(RecordEntry::class)($this->learner, $this->permit(), $entry[0], $entry[1], $this->by),
    )->toThrow(MillStep\Core\Border\InvalidInput::class);
})->with([
    [['practice_confirmed', []]],
    [['forgiven', []]],
    [['signed_off', ['statement_version' => 1]]],
    [['machine_time', ['minutes' => -5]]],
]);
