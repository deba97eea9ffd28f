<?php

declare(strict_types=1);

use App\Gate\Device;
use App\Gate\Token;
use App\People\Letter;
use App\People\Role;
use App\Records\Alert;
use App\Records\AuditLine;
use App\Workshop\Machine;

beforeEach(fn () => at_a_gate($this));

function pair($test, App\People\User $as, string $machine = 'bench-drill', array $with = []): Illuminate\Testing\TestResponse
{
    app('auth')->forgetGuards();

    return $test->flushHeaders()
        ->actingAs($as)
        ->postJson("/api/gate/machines/$machine/devices", [...['id' => fake_uuid(), 'name' => 'Screen'], ...$with]);
}

it('is paired by the lead or by whoever signs for what the machine takes, and by nobody else', function (): void {
    pair($this, $this->by)->assertCreated();
    pair($this, $this->person(Role::Lead))->assertCreated();
    pair($this, $this->instructor(signs: false))->assertForbidden();
    pair($this, $this->learner)->assertForbidden();
    // A lathe takes a permit that nobody has defined yet: only the lead.
    $lathe = Machine::query()->where('kind', 'lathe')->firstOrFail()->slug;
    pair($this, $this->by, $lathe)->assertForbidden();
});

it('is written down: who paired and who revoked', function (): void {
    pair($this, $this->by)->assertCreated();
    $device = Device::query()->latest('id')->firstOrFail();
    $this->deleteJson("/api/gate/devices/{$device->id}")->assertOk()->assertJson(['state' => 'revoked']);
    $lines = AuditLine::query()->where('source', 'gate_devices')->where('actor_id', $this->by->id)->orderBy('id')->get();
    expect($lines->pluck('change')->all())->toBe(['insert', 'update'])->and($lines[1]->after)->toHaveKey('revoked_at');
});

it('ends the session of whoever pairs a screen on that screen', function (): void {
    pair($this, $this->by, with: ['here' => true])->assertCreated();
    $this->getJson('/api/people/me')->assertJson(['person' => null]);
});

it('gives one device however often the pairing is sent, and only its newest token counts', function (): void {
    $id = fake_uuid();
    $first = pair($this, $this->by, with: ['id' => $id])->json('token');
    $second = pair($this, $this->by, with: ['id' => $id])->json('token');
    expect(Device::query()->where('pairing_id', $id)->count())->toBe(1);
    app('auth')->forgetGuards();
    $this->flushHeaders()->withToken($first)->getJson('/api/gate/screen')->assertUnauthorized();
    expect(screen($this, $second)->json('interlock'))->toBe('off');
    pair($this, $this->person(Role::Lead), with: ['id' => $id])->assertConflict()->assertJsonPath('code', 'id_used');
});

it('is revoked at once, and once', function (): void {
    $device = Device::query()->sole();
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->instructor(signs: false))->deleteJson("/api/gate/devices/{$device->id}")->assertForbidden();
    $this->actingAs($this->by)->deleteJson("/api/gate/devices/{$device->id}")->assertOk();
    $this->deleteJson("/api/gate/devices/{$device->id}")->assertOk();
    app('auth')->forgetGuards();
    $this->withToken($this->token)->getJson('/api/gate/screen')->assertUnauthorized();
    hold_badge($this, 'LEARNER')->assertUnauthorized();
});

it('runs out after the days that the policy gives, and is renewed before', function (): void {
    $fresh = $this->withToken($this->token)->postJson('/api/gate/renewal')->assertCreated()->json('token');
    // The old one stays good until the new one is used: its answer may have got lost.
    expect(screen($this)->json('interlock'))->toBe('off')->and(screen($this, $fresh)->json('device.expires_at'))->not->toBeNull();
    $this->travel(31)->seconds();
    screen($this, $fresh);
    app('auth')->forgetGuards();
    $this->withToken($this->token)->getJson('/api/gate/screen')->assertUnauthorized();
    $this->travel(90)->days();
    app('auth')->forgetGuards();
    $this->withToken($fresh)->getJson('/api/gate/screen')->assertUnauthorized();
    $this->flushHeaders()->actingAs($this->by)->getJson('/api/gate/devices')->assertOk()->assertJsonPath('0.state', 'expired');
});

it('has at most one token that waits to be used, and tells the lead when one that was replaced is used again', function (): void {
    $renew = fn (string $token): string => $this->withToken($token)->postJson('/api/gate/renewal')->assertCreated()->json('token');
    $first = $renew($this->token);
    app('auth')->forgetGuards();
    $second = $renew($this->token);
    app('auth')->forgetGuards();
    // Asked for twice: the first of the two was never used, and is of no use any more.
    $this->withToken($first)->getJson('/api/gate/screen')->assertUnauthorized();
    expect(Alert::query()->count())->toBe(0);
    screen($this, $second);
    app('auth')->forgetGuards();
    // At the very first use of the new one, not half a minute later.
    $this->withToken($this->token)->getJson('/api/gate/screen')->assertUnauthorized();
    expect(Alert::query()->sole()->kind)->toBe('token_reused');
    screen($this, $second);
});

it('is listed with who paired it and when it was last seen', function (): void {
    screen($this);
    app('auth')->forgetGuards();
    $this->flushHeaders()
        ->actingAs($this->by)
        ->getJson('/api/gate/devices')
        ->assertOk()
        ->assertJson([
            [
                'name' => 'Reader',
                'machine' => ['slug' => 'bench-drill'],
                'paired_by' => $this->by->name,
                'state' => 'paired',
                'may_revoke' => true,
            ],
        ])
        ->assertJsonPath('0.last_seen_at', fn ($at) => $at !== null);
    expect(Token::query()->sole()->token)->not->toContain(substr($this->token, -20));
});

it('is slowed when badges are guessed at it, tells the lead once, and keeps answering its screen', function (): void {
    $lead = $this->person(Role::Lead);
    foreach (range(1, 5) as $n) {
        hold_badge($this, "GUESS-$n")->assertJson(['decision' => 'no', 'reasons' => ['badge_unknown']]);
    }
    hold_badge($this, 'GUESS-6')->assertTooManyRequests()->assertJsonPath('code', 'slowed');
    hold_badge($this, 'LEARNER')->assertTooManyRequests();
    screen($this)->assertJson(['interlock' => 'off']);
    expect(Alert::query()->where('kind', 'badges_guessed')->count())->toBe(1)
        ->and(Letter::query()->where('recipient', $lead->email)->count())->toBe(1);
    $this->travel(5)->seconds();
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone']);
    // Each further guess costs more.
    hold_badge($this, 'GUESS-7');
    $this->travel(5)->seconds();
    hold_badge($this, 'TEACHER')->assertTooManyRequests();
    // Whoever has the machine can always finish.
    hold_badge($this, 'LEARNER', ['intent' => 'finish'])->assertJson(['event' => 'finished']);
    expect(Alert::query()->count())->toBe(1);
});

it('is slowed by the guesses that were counted, not by what a request knew when it came', function (): void {
    // Fifty at once: each was let in before the first was counted.
    $stale = Device::query()->sole();
    foreach (range(1, 5) as $n) {
        hold_badge($this, "GUESS-$n");
    }
    expect(fn () => app(App\Gate\ReadBadge::class)($stale, ['id' => fake_uuid(), 'intent' => 'start', 'badge' => 'GUESS-6']))
        ->toThrow(App\Support\Refusal::class, 'refused.slowed');
});

it('counts a companion\'s badge that nobody has as a guess too', function (): void {
    foreach (range(1, 5) as $n) {
        hold_badge($this, 'LEARNER', ['companion_badge' => "GUESS-$n"]);
    }
    hold_badge($this, 'LEARNER')->assertTooManyRequests();
});

it('is only its machine\'s: a token reads and starts nothing else', function (): void {
    app('auth')->forgetGuards();
    $this->flushHeaders()->withToken($this->token)->getJson('/api/records/today')->assertUnauthorized();
    $this->getJson('/api/gate/devices')->assertUnauthorized();
    $this->postJson("/api/competency/learners/{$this->learner->id}/permits/drill-through-10/holds", [])->assertUnauthorized();
});

it('hears a device so often a minute, and says when to come again', function (): void {
    $this->travelTo(now()->startOfMinute()->addSeconds(20));
    $ask = fn () => $this->withToken($this->token)->postJson('/api/gate/reads', []);
    for ($n = 0; $n < 120; $n++) {
        $ask()->assertUnprocessable();
    }
    $ask()->assertTooManyRequests()->assertHeader('Retry-After', '40');
    // Its screen is counted apart, and the next minute is another one.
    screen($this);
    $this->travel(40)->seconds();
    $ask()->assertUnprocessable();
    foreach ([str_repeat('n', 41), ['a']] as $nonce) {
        $this->withToken($this->token)->getJson('/api/gate/screen?'.http_build_query(['nonce' => $nonce]))->assertUnprocessable()
            ->assertJsonValidationErrors('nonce');
    }
});
