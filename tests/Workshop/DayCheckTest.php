<?php

declare(strict_types=1);

use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use App\Workshop\Day\DayCheck;
use App\Workshop\Machine;

/** What is looked at at a machine before it first turns that day. */
beforeEach(function (): void {
    $this->freezeTime();
    $this->travelTo(now()->setTime(10, 0));
    $this->by = $this->instructor();
    $this->tap = fn (string $part, bool $good = true, ?string $id = null, ?string $reason = null, string $machine = 'bench-drill') => $this
        ->postJson("/api/workshop/machines/$machine/day-checks", [
            'id' => $id ?? fake_uuid(), 'part' => $part, 'good' => $good, 'reason' => $reason,
        ]);
    $this->open = function (?string $machine = 'bench-drill') {
        $learner = $this->person();
        bring($learner, 3, $this->by);

        return $this->actingAs($this->by)->postJson('/api/assessment/attempts', [
            'id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $learner->id, 'machine' => $machine,
        ]);
    };
    $this->actingAs($this->by);
});

it('keeps one tap each, and says them until the shop\'s day is over', function (): void {
    $this->policy(['time_zone' => 'Asia/Tokyo']);
    ($this->tap)('guards', id: $id = fake_uuid())->assertOk()->assertJsonPath('checked_today.guards.good', true)
        ->assertJsonPath('checked_today.guards.by', $this->by->name)->assertJsonPath('checked_today.stop', null);
    ($this->tap)('guards', id: $id)->assertOk();
    ($this->tap)('stop', id: $id)->assertConflict()->assertJsonPath('code', 'id_used');
    ($this->tap)('guards', id: $id, machine: 'metric-lathe')->assertConflict();
    expect(DayCheck::query()->count())->toBe(1);
    // 10:00 UTC is 19:00 in the shop: five hours later it is another day there.
    $this->travel(290)->minutes();
    $guards = fn () => collect($this->getJson('/api/workshop/machines')->json())
        ->firstWhere('slug', 'bench-drill')['checked_today']['guards'];
    expect($guards())->not->toBeNull();
    $this->travel(11)->minutes();
    expect($guards())->toBeNull();
});

it('takes a machine out of service for what is not in order, with what was found', function (): void {
    ($this->tap)('stop', false)->assertUnprocessable()->assertJsonValidationErrors('reason');
    ($this->tap)('stop', false, $id = fake_uuid(), 'The button does not latch')->assertOk()->assertJson([
        'in_service' => false, 'service_note' => 'The button does not latch', 'checked_today' => ['stop' => ['good' => false]],
    ]);
    ($this->tap)('stop', false, $id, 'The button does not latch')->assertOk();
    expect(Machine::query()->where('slug', 'bench-drill')->firstOrFail()->services()->count())->toBe(1);
    // Found in order by a later tap, it is still the lead who puts it back.
    ($this->tap)('stop')->assertOk()->assertJsonPath('in_service', false);
});

it('is nobody\'s who learns', function (): void {
    $this->actingAs($this->person());
    ($this->tap)('guards')->assertForbidden();
    expect(DayCheck::query()->count())->toBe(0);
});

it('stands on the sheet as it was found when that was opened, and in the ledger', function (): void {
    ($this->tap)('guards')->assertOk();
    $attempt = ($this->open)()->assertCreated()->assertJsonPath('machine_state.guards.good', true)
        ->assertJsonPath('machine_state.stop', null);
    $this->actingAs($this->by);
    ($this->tap)('stop')->assertOk();
    $this->getJson('/api/assessment/attempts/'.$attempt->json('id'))->assertJsonPath('machine_state.stop', null);
    $said = LedgerEntry::query()->where('type', 'sheet_opened')->sole()->details();
    expect($said['machine'])->toBe('bench-drill')->and($said['machine_checked'])
        ->toBe(['guards' => now()->toIso8601ZuluString(), 'stop' => null]);
});

it('forgets who looked, once they are forgotten', function (): void {
    $other = $this->instructor();
    $this->actingAs($other);
    ($this->tap)('guards')->assertOk();
    $attempt = ($this->open)()->assertCreated()->json('id');
    $name = $other->name;
    $other->update(['active' => false]);
    app(App\People\Pin::class)->change($lead = $this->person(App\People\Role::Lead), '1357');
    app(App\People\ForgetPerson::class)($other->refresh(), $lead, '1357');
    expect(json_encode(SheetAttempt::query()->findOrFail($attempt)->machine_state))->not->toContain($name);
});

it('finds a look of the same day on the longest day of the year, too', function (): void {
    $this->policy(['time_zone' => 'Europe/Dublin']);
    // Clocks go back in the night before: that day has 25 hours.
    $this->travelTo(new DateTimeImmutable('2031-10-26T00:10:00+01:00'));
    ($this->tap)('guards')->assertOk();
    $this->travelTo(new DateTimeImmutable('2031-10-26T23:50:00+00:00'));
    expect(collect($this->getJson('/api/workshop/machines')->json())->firstWhere('slug', 'bench-drill')['checked_today']['guards'])
        ->not->toBeNull();
});

it('keeps on the sheet what was said of the machine last', function (): void {
    $machine = Machine::query()->where('slug', 'bench-drill')->firstOrFail();
    $lead = $this->person(App\People\Role::Lead);
    app(App\Workshop\ChangeService::class)($machine, false, 'The belt slips', $this->by, fake_uuid());
    app(App\Workshop\ChangeService::class)($machine, true, 'A new belt is on', $lead, fake_uuid());
    ($this->open)()->assertCreated()->assertJsonPath('machine_state.service_note', 'A new belt is on');
});

it('opens no sheet at a machine that was not looked at, where the shop wants that', function (): void {
    $this->policy(['day_check_required' => true]);
    ($this->open)()->assertConflict()->assertJsonPath('code', 'not_checked_today');
    ($this->tap)('guards')->assertOk();
    ($this->open)()->assertConflict();
    ($this->tap)('stop')->assertOk();
    ($this->open)()->assertCreated();
    // Yesterday's look is yesterday's.
    $this->travel(1)->days();
    ($this->open)()->assertConflict();
    expect(SheetAttempt::query()->count())->toBe(1);
});

it('opens a sheet at the only machine that there is, and asks where there are several', function (): void {
    ($this->open)(null)->assertCreated()->assertJsonPath('sheet.machine', 'Bench drill press');
    Machine::query()->where('slug', 'floor-drill')->update(['in_service' => true]);
    ($this->open)(null)->assertConflict()->assertJsonPath('code', 'which_machine');
    ($this->open)('floor-drill')->assertCreated()->assertJsonPath('sheet.machine', 'Floor drill press');
    ($this->open)('metric-lathe')->assertConflict()->assertJsonPath('code', 'not_this_machine');
});
