<?php

declare(strict_types=1);

use App\Competency\CorrectEntry;
use App\Competency\LedgerEntry;
use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Competency\Statement;
use App\Gate\MachineSession;
use App\Gate\Presence;
use App\People\ChangeActive;
use App\People\Role;
use App\Policy\Policy;
use App\Workshop\ChangePolicy;
use App\Workshop\ChangeService;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;

beforeEach(function (): void {
    at_a_gate($this);
    // Some of these turns are looked at long after the screen would have renewed its token.
    App\Gate\Token::query()->update(['expires_at' => null]);
});

it('takes the power of a running turn away at once', function (Closure $restrict, string $reason): void {
    $read = fake_uuid();
    hold_badge($this, 'LEARNER', ['id' => $read])->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    expect(power($this, $read))->toBe('on');
    $restrict($this);
    // The event ended it, before anybody polled.
    expect(MachineSession::query()->whereNull('ended_at')->exists())->toBeFalse()
        ->and(power($this, $read))->toBe('off');
    screen($this)
        ->assertJson(['running' => null, 'ended' => ['person' => $this->learner->name, 'because' => 'revoked']])
        ->assertJsonPath('ended.reasons.0', $reason);
    expect(
        LedgerEntry::query()->where('type', 'machine_time')->sole()->details(),
    )->toMatchArray(['confirmed' => false, 'ended' => 'revoked'])
        ->and(hold_badge($this, 'LEARNER')->json('interlock'))->toBe('off');
})->with([
    'incident hold' => [
        fn ($test) => app(PlaceHold::class)($test->learner, $test->permit(), $test->by, 'incident_hold', 'Near miss at the vice.'),
        'held',
    ],
    'revoked' => [
        fn ($test) => app(PlaceHold::class)($test->learner, $test->permit(), $test->by, 'revoked', 'Worked without a vice.', pin: '2468'),
        'held',
    ],
    'machine out of service' => [
        fn ($test) => app(ChangeService::class)($test->machine, false, 'Belt guard gone', $test->by, fake_uuid()),
        'machine_out_of_service',
    ],
    'person deactivated' => [fn ($test) => app(ChangeActive::class)($test->learner, false, $test->person(Role::Lead)), 'person_inactive'],
    'the hours changed' => [
        fn ($test) => app(ChangePolicy::class)(
            [...Policy::settingsInForce(), 'hours' => []],
            'Closed for today',
            $test->person(Role::Lead),
        ),
        'outside_hours',
    ],
    'the signature corrected' => [
        fn ($test) => app(CorrectEntry::class)(
            LedgerEntry::query()->where('type', 'signed_off')->sole(),
            $test->by,
            'Signed for the wrong learner.',
            '2468',
        ),
        'not_signed_off',
    ],
]);

it('takes it away at the next poll where nothing happened but time, or a change that raised no event', function (
    Closure $change,
    string $reason,
): void {
    $read = fake_uuid();
    hold_badge($this, 'LEARNER', ['id' => $read])->assertJson(['interlock' => 'on']);
    $change($this);
    expect(screen($this)->assertJsonPath('ended.reasons.0', $reason)->json('interlock'))->toBe('off');
})->with([
    'end of hours' => [function ($test): void {
        Policy::query()
            ->latest('id')
            ->first()
            ->update([
                'settings' => [
                    ...Policy::settingsInForce(),
                    'turn_idle_minutes' => 1440,
                    'hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '23:59']],
                ],
            ]);
        $test->travelTo(CarbonImmutable::now('UTC')->setTime(23, 59, 30));
    }, 'outside_hours'],
    'a new statement without grace' => [
        fn ($test) => Statement::query()->create([
            'permit_id' => $test->permit()->id,
            'version' => 2,
            'body' => 'New words.',
            'in_force_from' => now(),
        ]),
        'lapsed_statement',
    ],
    'set out of service in the database' => [fn ($test) => $test->machine->update(['in_service' => false]), 'machine_out_of_service'],
    'deactivated in the database' => [fn ($test) => $test->learner->update(['active' => false]), 'person_inactive'],
]);

it('ends a permit that runs out during the turn', function (): void {
    // Signed a year ago but for ten minutes.
    $learner = $this->person();
    give_badge($learner, 'OLD');
    bring($learner, 5, $this->by);
    app(RecordEntry::class)(
        $learner,
        $this->permit(),
        'signed_off',
        ['statement_version' => 1, 'valid_until' => now()->addMinutes(10)->toIso8601ZuluString(), 'scope' => (object) []],
        $this->by,
    );
    hold_badge($this, 'OLD')->assertJson(['decision' => 'alone']);
    $this->travel(9)->minutes();
    expect(screen($this)->json('interlock'))->toBe('on');
    $this->travel(2)->minutes();
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['reasons' => ['lapsed_expired', 'supervisor_absent']]]);
});

it('ends a supervised turn when whoever watches it leaves the floor, not when somebody else does', function (): void {
    $pupil = $this->person();
    give_badge($pupil, 'PUPIL');
    bring($pupil, 3, $this->by);
    $other = $this->instructor();
    foreach ([$this->by, $other] as $instructor) {
        app('auth')->forgetGuards();
        $this->actingAs($instructor)->putJson('/api/gate/presence', ['present' => true])->assertOk();
    }
    $asked = hold_badge($this, 'PUPIL')->assertJson(['decision' => 'no', 'asks' => ['supervisor'], 'interlock' => 'off']);
    follow_up($this, $asked->json('id'), ['supervisor' => $other->id])
        ->assertJson(['decision' => 'supervised', 'interlock' => 'on', 'supervisor' => $other->name]);
    $leave = function ($instructor): void {
        app('auth')->forgetGuards();
        $this->flushHeaders()->actingAs($instructor)->putJson('/api/gate/presence', ['present' => false])->assertOk();
    };
    $leave($this->by);
    expect(screen($this)->json('interlock'))->toBe('on');
    $leave($other);
    screen($this)->assertJson([
        'interlock' => 'off',
        'ended' => ['because' => 'revoked', 'reasons' => ['not_signed_off', 'not_familiar', 'supervisor_absent']],
    ]);
    // And where the presence only runs out.
    Presence::query()->updateOrCreate(['user_id' => $other->id], ['until' => now()->addMinutes(5)]);
    hold_badge($this, 'PUPIL')->assertJson(['interlock' => 'on']);
    $this->travel(6)->minutes();
    expect(screen($this)->json('interlock'))->toBe('off');
});

it('does not turn alone into supervised by itself', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone']);
    hold_badge($this, 'TEACHER')->assertJson(['event' => 'present']);
    Statement::query()->create(['permit_id' => $this->permit()->id, 'version' => 2, 'body' => 'New words.', 'in_force_from' => now()]);
    // Supervised use would be allowed now, but nobody has agreed to supervise this turn.
    expect(screen($this)->json('interlock'))->toBe('off');
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'supervised', 'interlock' => 'on']);
});

it('ends an abandoned turn, caps its minutes, and does not count it as having been at the machine', function (): void {
    hold_badge($this, 'LEARNER');
    $this->travel(119)->minutes();
    expect(screen($this)->json('interlock'))->toBe('on');
    $this->travel(500)->minutes();
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['because' => 'idle']]);
    expect(
        LedgerEntry::query()->where('type', 'machine_time')->sole()->details(),
    )->toMatchArray(['minutes' => 120, 'confirmed' => false, 'ended' => 'idle']);
    // Recency is counted from the signature, not from the turn that was left.
    $this->travelTo(CarbonImmutable::now()->addDays(90));
    hold_badge($this, 'LEARNER')->assertJsonPath('reasons.0', 'lapsed_recency');
});

it('goes on for whoever holds their badge to the reader again', function (): void {
    hold_badge($this, 'LEARNER');
    $this->travel(100)->minutes();
    hold_badge($this, 'LEARNER')->assertJson(['event' => 'decision', 'decision' => 'alone', 'interlock' => 'on']);
    $this->travel(100)->minutes();
    expect(screen($this)->json('interlock'))->toBe('on')->and(MachineSession::query()->count())->toBe(1);
});

it('ends turns that are over at machines whose screen does not ask', function (): void {
    hold_badge($this, 'LEARNER');
    $this->travel(121)->minutes();
    $this->artisan('gate:review')->assertSuccessful();
    expect(MachineSession::query()->sole()->ended_because)->toBe('idle');
});

it('lets one person have one machine at a time, unless the policy says otherwise', function (): void {
    $floor = Machine::query()->where('slug', 'floor-drill')->firstOrFail();
    $floor->update(['in_service' => true]);
    $other = app(App\Gate\PairDevice::class)($floor, $this->by, 'Reader');
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    hold_badge($this, 'LEARNER', [], $other)->assertJson(['decision' => 'no', 'reasons' => ['at_another_machine'], 'interlock' => 'off']);
    expect(screen($this)->json('interlock'))->toBe('on');
    $this->policy(['machines_at_once' => 2]);
    hold_badge($this, 'LEARNER', [], $other)->assertJson(['decision' => 'alone', 'interlock' => 'on']);
});

it('leaves a turn to whoever has it when another badge comes, and says who that is', function (string $badge, array $answer): void {
    hold_badge($this, 'LEARNER');
    $other = $this->person();
    give_badge($other, 'OTHER');
    bring($other, 5, $this->by);
    hold_badge($this, $badge)->assertJson([...$answer, 'holder' => $this->learner->name, 'interlock' => 'off']);
    screen($this)->assertJson(['interlock' => 'on', 'running' => ['person' => $this->learner->name]]);
})->with([
    'somebody who might have it' => ['OTHER', ['event' => 'in_use', 'decision' => null]],
    'nobody\'s badge' => ['NOBODY', ['event' => 'decision', 'decision' => 'no', 'reasons' => ['badge_unknown']]],
    'an instructor\'s' => ['TEACHER', ['event' => 'present']],
]);

it('is handed over by the one who has it or by an instructor, and by nobody else', function (): void {
    $other = $this->person();
    give_badge($other, 'OTHER');
    hold_badge($this, 'LEARNER');
    hold_badge($this, 'OTHER', ['intent' => 'hand_over'])->assertJson(['event' => 'in_use']);
    expect(screen($this)->json('interlock'))->toBe('on');
    hold_badge($this, 'TEACHER', ['intent' => 'hand_over'])->assertJson(['event' => 'finished', 'holder' => $this->learner->name]);
    expect(screen($this)->json('ended.because'))->toBe('ended_by_instructor');
    hold_badge($this, 'LEARNER');
    hold_badge($this, 'LEARNER', ['intent' => 'hand_over'])->assertJson(['event' => 'finished']);
    expect(MachineSession::query()->whereNull('ended_at')->exists())->toBeFalse();
});

it('is ended from afar by whoever teaches, once', function (): void {
    hold_badge($this, 'LEARNER');
    $session = MachineSession::query()->sole();
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->learner)->postJson("/api/gate/turns/{$session->id}/end")->assertForbidden();
    $this->actingAs($this->by)->postJson("/api/gate/turns/{$session->id}/end")->assertNoContent();
    $this->postJson("/api/gate/turns/{$session->id}/end")->assertNoContent();
    expect(screen($this)->json('interlock'))->toBe('off')->and(LedgerEntry::query()->where('type', 'machine_time')->count())->toBe(1);
});

it('goes by the clock after it waited for its turn: whoever left the floor meanwhile supervises nobody', function (): void {
    $learner = $this->person();
    give_badge($learner, 'SUPERVISED');
    bring($learner, 4, $this->by);
    Presence::query()->updateOrCreate(['user_id' => $this->by->id], ['until' => now()->addHour()]);
    hold_badge($this, 'SUPERVISED')->assertJsonPath('decision', 'supervised');
    hold_badge($this, 'SUPERVISED', ['intent' => 'finish']);
    // As the lock is had, the instructor has just left, later than the badge was held to the reader.
    DB::listen(function ($query): void {
        if (str_contains($query->sql, 'gate_lock')) {
            $this->travel(5)->seconds();
            Presence::query()->update(['until' => now()->subSecond()]);
        }
    });
    hold_badge($this, 'SUPERVISED')->assertJsonPath('decision', 'no')->assertJsonPath('interlock', 'off');
});
