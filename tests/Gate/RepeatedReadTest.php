<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Competency\PlaceHold;
use App\Gate\BadgeRead;
use App\Gate\MachineSession;
use App\Gate\PairDevice;

beforeEach(function (): void {
    at_a_gate($this);
    $this->read = fake_uuid();
    hold_badge($this, 'LEARNER', ['id' => $this->read])->assertJson(['decision' => 'alone', 'interlock' => 'on']);
});

it('is answered as it was while that very turn is open, and starts nothing', function (): void {
    hold_badge($this, 'LEARNER', ['id' => $this->read])->assertJson(['decision' => 'alone', 'event' => 'decision', 'interlock' => 'on']);
    hold_badge($this, ' learner ', ['id' => $this->read])->assertJson(['interlock' => 'on']);
    expect(MachineSession::query()->count())->toBe(1)->and(LedgerEntry::query()->where('type', 'machine_time')->exists())->toBeFalse();
});

it('never powers on again', function (Closure $meanwhile): void {
    $meanwhile($this);
    hold_badge($this, 'LEARNER', ['id' => $this->read])->assertOk()->assertJson(['interlock' => 'off']);
})->with([
    'after a hold' => [
        fn ($test) => app(PlaceHold::class)($test->learner, $test->permit(), $test->by, 'incident_hold', 'Near miss at the vice.'),
    ],
    'after the turn was finished' => [fn ($test) => hold_badge($test, 'LEARNER', ['intent' => 'finish'])],
    'after it was finished and another begun by the same person' => [function ($test): void {
        hold_badge($test, 'LEARNER', ['intent' => 'finish']);
        hold_badge($test, 'LEARNER');
    }],
    'after an instructor ended it' => [fn ($test) => hold_badge($test, 'TEACHER', ['intent' => 'hand_over'])],
]);

it('is refused', function (array $with, ?string $token = null): void {
    $other = $this->person();
    give_badge($other, 'OTHER');
    hold_badge($this, 'LEARNER', ['id' => $this->read, ...$with])->assertConflict()->assertJsonPath('code', 'id_used');
})->with([
    'with another badge' => [['badge' => 'OTHER']],
    'with nobody\'s badge' => [['badge' => 'X']],
    'as a finish' => [['intent' => 'finish']],
    'for something else' => [['request' => [...STEEL, 'diameter_mm' => 4]]],
    'with a companion' => [['companion_badge' => 'TEACHER']],
]);

it('is refused from another device, also one at the same machine', function (): void {
    $second = app(PairDevice::class)($this->machine, $this->by, 'Second reader');
    hold_badge($this, 'LEARNER', ['id' => $this->read], $second)->assertConflict()->assertJsonPath('code', 'id_used');
    expect(BadgeRead::query()->count())->toBe(1);
});

it('is refused when it comes late, whoever has the machine', function (): void {
    $this->travel(61)->seconds();
    hold_badge($this, 'LEARNER', ['id' => $this->read])->assertConflict()->assertJsonPath('code', 'read_too_old');
});

it('never turns a finish into a start, however its answer got lost', function (): void {
    $finish = fake_uuid();
    hold_badge($this, 'LEARNER', ['id' => $finish, 'intent' => 'finish'])->assertJson(['event' => 'finished']);
    // The answer is lost: the same read again, a new one with the same intent, and one of them late.
    hold_badge($this, 'LEARNER', ['id' => $finish, 'intent' => 'finish'])->assertJson(['event' => 'finished', 'interlock' => 'off']);
    hold_badge($this, 'LEARNER', ['intent' => 'finish'])->assertJson(['event' => 'finished', 'interlock' => 'off']);
    hold_badge($this, 'LEARNER', ['intent' => 'hand_over'])->assertJson(['event' => 'finished', 'interlock' => 'off']);
    expect(MachineSession::query()->whereNull('ended_at')->exists())->toBeFalse();
});

it('never turns a start into a finish', function (): void {
    hold_badge($this, 'LEARNER', ['intent' => 'start'])->assertJson(['event' => 'decision', 'interlock' => 'on']);
    expect(screen($this)->json('interlock'))->toBe('on');
});

it('has to say what it is for', function (mixed $intent): void {
    hold_badge($this, 'LEARNER', ['intent' => $intent])->assertUnprocessable();
})->with([null, '', 'tap', 1, [['start']]]);
