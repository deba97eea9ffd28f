<?php

declare(strict_types=1);

use App\Gate\BadgeRead;
use App\Gate\MachineSession;
use App\Gate\PairDevice;
use App\Workshop\Machine;

beforeEach(fn () => at_a_gate($this));

it('asks what a signature limits and nobody has said, and gives no power until it is said', function (): void {
    $asked = hold_badge($this, 'LEARNER', ['request' => null])->assertJson([
        'event' => 'asks',
        'decision' => 'no',
        'asks' => ['material', 'thickness', 'operation', 'diameter'],
        'interlock' => 'off',
    ]);
    expect(screen($this)->json('interlock'))
        ->toBe('off')
        ->and(array_column($asked->json('choices.materials'), 'key'))
        ->toContain('mild_steel', 'acrylic')
        ->and($asked->json('scopes.0'))
        ->toBe(['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter_mm' => 10, 'min_thickness_mm' => 3]);
    $this->withToken($this->token)
        ->postJson('/api/gate/reads', ['id' => fake_uuid(), 'intent' => 'start', 'follows' => $asked->json('id'), 'request' => STEEL])
        ->assertJson(['event' => 'decision', 'decision' => 'alone', 'interlock' => 'on']);
    screen($this)->assertJson(['running' => ['request' => STEEL]]);
});

it('says no to what lies outside', function (array $request, string $reason): void {
    hold_badge($this, 'LEARNER', ['request' => [...STEEL, ...$request]])
        ->assertJson(['decision' => 'no', 'interlock' => 'off'])
        ->assertJsonPath('reasons.0', $reason);
})->with([
    'material' => [['material' => 'acrylic'], 'outside_scope_material'],
    'diameter' => [['diameter_mm' => 10.1], 'outside_scope_diameter'],
    'thickness' => [['thickness_mm' => 2.5], 'outside_scope_thickness'],
    'operation' => [['operation' => 'ream'], 'outside_scope_operation'],
]);

it('goes on asking while one of them is left out', function (string $left): void {
    hold_badge($this, 'LEARNER', ['request' => array_diff_key(STEEL, [$left => 1])])->assertJson(['event' => 'asks', 'interlock' => 'off']);
})->with(array_keys(STEEL));

it('asks nothing of a learner who is supervised', function (): void {
    $pupil = $this->person();
    give_badge($pupil, 'PUPIL');
    bring($pupil, 3, $this->by);
    hold_badge($this, 'TEACHER');
    hold_badge($this, 'PUPIL', ['request' => null])->assertJson(['decision' => 'supervised', 'asks' => [], 'interlock' => 'on']);
});

it('ends a turn whose holder now wants what the signature does not cover', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    hold_badge($this, 'LEARNER', ['request' => [...STEEL, 'diameter_mm' => 12]])->assertJson(['decision' => 'no', 'interlock' => 'off']);
    screen($this)->assertJson([
        'interlock' => 'off',
        'ended' => ['because' => 'revoked', 'reasons' => ['outside_scope_diameter', 'supervisor_absent']],
    ]);
});

it('keeps what was decided last: a job outside the signature goes on only under supervision', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    hold_badge($this, 'TEACHER');
    hold_badge($this, 'LEARNER', ['request' => [...STEEL, 'diameter_mm' => 12]])
        ->assertJson(['decision' => 'supervised', 'interlock' => 'on']);
    screen($this)->assertJson(['interlock' => 'on', 'running' => ['decision' => 'supervised']]);
    // Who supervises goes: so does the power.
    app(App\Gate\SetPresence::class)($this->by, false);
    screen($this)->assertJson(['interlock' => 'off']);
});

it('lets only the last question be answered, at its own device, and not for long', function (Closure $spoil): void {
    $asked = hold_badge($this, 'LEARNER', ['request' => null])->json('id');
    $token = $spoil($this) ?? $this->token;
    app('auth')->forgetGuards();
    $this->withToken($token)
        ->postJson('/api/gate/reads', ['id' => fake_uuid(), 'intent' => 'start', 'follows' => $asked, 'request' => STEEL])
        ->assertConflict()
        ->assertJsonPath('code', 'ask_over');
    expect(MachineSession::query()->exists())->toBeFalse();
})->with([
    'two minutes later' => [fn ($test) => $test->travel(121)->seconds()],
    'after another badge' => [function ($test): void {
        $test->travel(1)->seconds();
        hold_badge($test, 'NOBODY');
    }],
    'at another machine' => [
        fn ($test) => app(PairDevice::class)(Machine::query()->where('slug', 'floor-drill')->firstOrFail(), $test->by, 'Reader'),
    ],
    'at a second device' => [fn ($test) => app(PairDevice::class)($test->machine, $test->by, 'Second reader')],
]);

it('decides anew when the answer comes: a hold in between counts', function (): void {
    $asked = hold_badge($this, 'LEARNER', ['request' => null])->json('id');
    app(App\Competency\PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'For a talk.');
    $this->withToken($this->token)
        ->postJson('/api/gate/reads', ['id' => fake_uuid(), 'intent' => 'start', 'follows' => $asked, 'request' => STEEL])
        ->assertJson(['decision' => 'no', 'reasons' => ['held']]);
});

it('refuses a request that makes no sense', function (array $request): void {
    hold_badge($this, 'LEARNER', ['request' => $request])->assertUnprocessable();
    expect(BadgeRead::query()->exists())->toBeFalse();
})->with([
    [['diameter_mm' => -1]], [['diameter_mm' => 1e308]], [['diameter_mm' => 'ten']], [['operation' => 'mill']],
    [['colour' => 'blue']], [['material' => ['x']]],
]);
