<?php

declare(strict_types=1);

use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Gate\Badge;
use App\Gate\Device;
use App\Gate\Screen\Again;
use App\Gate\Screen\KeptAnswers;
use App\Gate\SetPresence;
use App\Support\DatabaseClock;
use Illuminate\Support\Facades\DB;

/** A screen is told again what was decided a moment ago only while every fact is the same. */
beforeEach(function (): void {
    KeptAnswers::$instead = new ArrayObject;
    at_a_gate($this);
    $this->again = fn (string $nonce = 'n', ?string $token = null, string $language = 'en-us,en;q=0.5'): ?string => (new Again(
        DB::connection()->getPdo(),
        DatabaseClock::pretended() ?? now()->format('Y-m-d H:i:s.uP'),
    ))->answer('Bearer '.($token ?? $this->token), $nonce, $language);
    $this->freezeTime();
});

afterEach(function (): void {
    KeptAnswers::$instead = null;
});

it('is told the same as by the whole application, with its own nonce and the time of now', function (bool $on): void {
    expect(($this->again)())->toBeNull();
    $on && hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $whole = screen($this)->assertJson(['interlock' => $on ? 'on' : 'off'])->json();
    $this->travel(1)->seconds();
    $at = now()->utc()->format('Y-m-d\TH:i:s.v\Z');
    $said = ($this->again)('</script>"');
    expect($said)->not->toBeNull()->not->toContain('<');
    $whole['nonce'] = '</script>"';
    $whole['answered_at'] = $at;
    if ($whole['last_read'] !== null) {
        $whole['last_read']['answered_at'] = $at;
    }
    expect(json_decode((string) $said, true))->toBe($whole);
    expect(json_decode((string) ($this->again)(''), true)['nonce'])->toBeNull();
})->with([true, false]);

it('is decided from the start three seconds later, whatever has happened', function (bool $on): void {
    $on && hold_badge($this, 'LEARNER');
    screen($this);
    $this->travel(2)->seconds();
    expect(($this->again)())->not->toBeNull();
    $this->travel(1)->seconds();
    expect(($this->again)())->toBeNull();
    // And never by a clock that was put back.
    screen($this);
    $this->travel(-1)->seconds();
    expect(($this->again)())->toBeNull();
})->with([true, false]);

/** @return array<string, Closure> what happens at a machine and around it, by name */
function happenings(): array
{
    return [
        'a hold' => fn ($t) => app(PlaceHold::class)($t->learner, $t->permit(), $t->by, 'suspended', 'Left the key in the chuck.'),
        'a badge reported lost' => fn ($t) => Badge::query()->where('user_id', $t->learner->id)
            ->update(['active' => false, 'ended_at' => now(), 'ended_because' => 'lost']),
        'the machine goes out of service' => fn ($t) => DB::table('workshop_machines')->where('id', $t->machine->id)
            ->update(['in_service' => false]),
        'the policy changes' => fn ($t) => $t->policy(['hours' => [['days' => [1], 'from' => '03:00', 'to' => '03:01']]]),
        'the permit is narrowed' => fn ($t) => DB::table('competency_permits')->where('id', $t->permit()->id)
            ->update(['scope' => json_encode(['materials' => ['brass']])]),
        'somebody is deactivated' => fn ($t) => $t->learner->update(['active' => false]),
        'a line is altered' => function ($t): void {
            // What a sealed fold speaks for is the next walk's to find; what stands after it is looked at each time.
            DB::statement('ALTER TABLE competency_ledger DISABLE TRIGGER USER');
            DB::table('competency_ledger')->where('learner_id', $t->learner->id)->latest('seq')->limit(1)->update(['data' => '{}']);
            DB::statement('ALTER TABLE competency_ledger ENABLE TRIGGER USER');
        },
        'the walk finds a fault' => fn () => app(App\Competency\Soundness::class)->keep(1),
        'a lesson\'s old versions count no more' => fn () => DB::table('learning_lessons')->update(['accepted_from' => 99]),
        'a statement comes into force' => fn ($t) => DB::table('competency_statements')->where('permit_id', $t->permit()->id)
            ->update(['version' => 7, 'grace_until' => null]),
        'an instructor comes to the floor' => fn ($t) => app(SetPresence::class)($t->by, true),
        'another badge is read' => fn ($t) => hold_badge($t, 'TEACHER'),
        'the turn is ended' => fn ($t) => hold_badge($t, 'LEARNER', ['intent' => 'finish']),
        'the machine takes another permit' => fn ($t) => DB::table('competency_machine_permit')->where('machine_id', $t->machine->id)
            ->delete(),
    ];
}

it('is decided from the start when a fact of a turn has changed', function (string $name): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    // Once folded, and a line after that.
    screen($this);
    app(RecordEntry::class)($this->learner, $this->permit(), 'practice_confirmed', ['minutes' => 5], $this->by);
    screen($this);
    expect(json_decode((string) ($this->again)(), true)['interlock'])->toBe('on');
    happenings()[$name]($this);
    expect(($this->again)())->toBeNull();
})->with(array_keys(happenings()));

it('is not told that a turn goes on when the clock alone ends it before it is asked again', function (): void {
    $this->travelTo(now()->setTimezone('UTC')->setTime(10, 0));
    $this->policy(['hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '12:00']], 'time_zone' => 'UTC']);
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $this->travelTo(now()->setTime(11, 59, 58));
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    screen($this);
    expect(($this->again)())->toBeNull();
    $this->travel(2)->seconds();
    screen($this)->assertJson(['interlock' => 'off']);
});

it('is told at once that a machine was switched on', function (): void {
    screen($this);
    expect(json_decode((string) ($this->again)(), true)['interlock'])->toBe('off');
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    expect(($this->again)())->toBeNull();
});

it('answers no token that the whole application would not take', function (Closure $how): void {
    screen($this);
    expect(($this->again)())->not->toBeNull();
    $other = $how($this);
    expect(($this->again)('n', is_string($other) ? $other : null))->toBeNull();
})->with([
    'a revoked device' => fn () => Device::query()->update(['revoked_at' => now()]),
    'one that ran out' => fn () => DB::table('gate_tokens')->update(['expires_at' => now()]),
    'one that was replaced' => fn () => DB::table('gate_tokens')->update(['replaced_at' => now()]),
    'another secret' => fn ($t) => explode('|', $t->token)[0].'|'.str_repeat('x', 40),
    'no number' => fn () => 'x|y',
    'one that has moved to another machine' => fn () => DB::table('gate_devices')
        ->update(['machine_id' => App\Workshop\Machine::query()->where('slug', '!=', 'bench-drill')->value('id')]),
    'one that was not seen for half a minute' => fn () => DB::table('gate_devices')->update(['last_seen_at' => now()->subSeconds(31)]),
    'one that has asked in another language' => function (): void {
        KeptAnswers::$instead = new ArrayObject;
    },
]);

it('leaves what it cannot read to the whole application', function (): void {
    screen($this);
    expect(($this->again)(str_repeat('n', 41)))->toBeNull()->and(($this->again)("n\0"))->toBeNull()
        ->and(($this->again)('ñ'))->toBeNull()->and(($this->again)('n', null, 'es'))->toBeNull();
});
