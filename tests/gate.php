<?php

declare(strict_types=1);

use App\Gate\Badge;
use App\Gate\PairDevice;
use App\Workshop\Machine;

const STEEL = ['material' => 'mild_steel', 'thickness_mm' => 8, 'operation' => 'drill', 'diameter_mm' => 9];

/** A learner who may run alone, an instructor, a machine and its reader. */
function at_a_gate($test, int $stage = 5): void
{
    $test->by = $test->instructor();
    $test->learner = $test->person();
    give_badge($test->learner, 'LEARNER');
    give_badge($test->by, 'TEACHER');
    $test->machine = Machine::query()->where('slug', 'bench-drill')->firstOrFail();
    $test->token = app(PairDevice::class)($test->machine, $test->by, 'Reader');
    $stage > 0 && bring($test->learner, $stage, $test->by);
}

function give_badge(App\People\User $user, string $code): void
{
    Badge::query()->create(['user_id' => $user->id, 'code_hash' => Badge::hash($code)]);
}

function hold_badge($test, string $badge, array $with = [], ?string $token = null): Illuminate\Testing\TestResponse
{
    // Each device is a client of its own: what one request authenticated must not leak into the next.
    app('auth')->forgetGuards();

    return $test->withToken($token ?? $test->token)
        ->postJson('/api/gate/reads', [...['id' => fake_uuid(), 'intent' => 'start', 'badge' => $badge, 'request' => STEEL], ...$with]);
}

/** The answer to what the gate asked a badge. */
function follow_up($test, string $asked, array $with = [], ?string $token = null): Illuminate\Testing\TestResponse
{
    app('auth')->forgetGuards();

    return $test->withToken($token ?? $test->token)
        ->postJson('/api/gate/reads', ['id' => fake_uuid(), 'intent' => 'start', 'follows' => $asked, ...$with]);
}

function screen($test, ?string $token = null): Illuminate\Testing\TestResponse
{
    app('auth')->forgetGuards();

    return $test->withToken($token ?? $test->token)->getJson('/api/gate/screen')->assertOk();
}

/** Screen and the repeat of a read say the same. */
function power($test, string $read): string
{
    $seen = screen($test)->json('interlock');
    $said = hold_badge($test, 'LEARNER', ['id' => $read]);
    expect($said->json('interlock'))->toBe($seen);

    return $seen;
}
