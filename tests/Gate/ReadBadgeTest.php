<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Gate\Badge;
use App\Gate\Moment;
use Carbon\CarbonImmutable;

beforeEach(fn () => at_a_gate($this, 0));

it('says no, with supervision or alone as the standing has it', function (): void {
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'reasons' => ['safety_check_not_passed'], 'interlock' => 'off']);
    bring($this->learner, 3, $this->by);
    hold_badge($this, 'LEARNER')->assertJson([
        'decision' => 'no',
        'reasons' => ['not_signed_off', 'not_familiar', 'supervisor_absent'],
        'interlock' => 'off',
    ]);
    hold_badge($this, 'TEACHER')->assertJson(['event' => 'present', 'decision' => null, 'interlock' => 'off']);
    hold_badge($this, 'LEARNER')->assertJson([
        'decision' => 'supervised',
        'reasons' => ['not_signed_off', 'not_familiar'],
        'interlock' => 'on',
        'missing' => [['kind' => 'assessment', 'what' => 'PS-through-holes']],
    ]);
    hold_badge($this, 'LEARNER', ['intent' => 'finish'])->assertJson(['event' => 'finished', 'interlock' => 'off']);
});

it('never opens for what speaks against it', function (Closure $spoil, string $reason): void {
    bring($this->learner, 5, $this->by);
    App\Gate\Token::query()->update(['expires_at' => null]);
    $spoil($this);
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'interlock' => 'off'])->assertJsonPath('reasons.0', $reason);
    expect(screen($this)->json('interlock'))->toBe('off');
})->with([
    'machine out of service' => [fn ($test) => $test->machine->update(['in_service' => false]), 'machine_out_of_service'],
    'person inactive' => [fn ($test) => $test->learner->update(['active' => false]), 'person_inactive'],
    'badge withdrawn' => [fn () => Badge::query()->update(['active' => false]), 'badge_unknown'],
    'permit held' => [
        fn ($test) => app(App\Competency\PlaceHold::class)($test->learner, $test->permit(), $test->by, 'suspended', 'For a talk.'),
        'held',
    ],
    'shop closed' => [fn ($test) => $test->policy(['hours' => []]), 'outside_hours'],
    'companion asked for' => [fn ($test) => $test->policy(['companion_required' => true]), 'companion_absent'],
    'no permit defined' => [fn ($test) => $test->machine->permits()->detach(), 'no_permit_defined'],
    'too long away' => [fn () => test()->travelTo(CarbonImmutable::now()->addDays(89 + 2)), 'lapsed_recency'],
]);

it('takes another person\'s badge for a companion, not one\'s own, nor one that nobody has', function (): void {
    bring($this->learner, 5, $this->by);
    $this->policy(['companion_required' => true]);
    hold_badge($this, 'LEARNER', ['companion_badge' => 'LEARNER'])->assertJson(['decision' => 'no', 'asks' => ['companion']]);
    hold_badge($this, 'LEARNER', ['companion_badge' => 'NOBODY'])->assertJson(['decision' => 'no']);
    hold_badge($this, 'LEARNER', ['companion_badge' => 'TEACHER'])->assertJson(['decision' => 'alone', 'interlock' => 'on']);
    expect(screen($this)->json('running.companion'))->toBe($this->by->name);
});

it('counts an instructor as supervising only while on the floor', function (): void {
    $this->actingAs($this->by)->putJson('/api/gate/presence', ['present' => true])->assertOk();
    $supervised = fn (): bool => Moment::at($this->machine->id)->onTheFloor() !== [];
    expect($supervised())->toBeTrue();
    $this->travel(241)->minutes();
    expect($supervised())->toBeFalse();
});

it('writes the time at the machine when the badge finishes', function (): void {
    bring($this->learner, 5, $this->by);
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $this->travel(37)->minutes();
    hold_badge($this, 'LEARNER', ['intent' => 'finish'])->assertJson(['event' => 'finished']);
    expect(LedgerEntry::query()->where('type', 'machine_time')->sole()->details())->toMatchArray([
        'minutes' => 37,
        'machine' => 'bench-drill',
        'confirmed' => true,
        'ended' => 'finished',
    ]);
});

it('shows its machine\'s screen who has it, and gives the question\'s nonce back', function (): void {
    bring($this->learner, 5, $this->by);
    screen($this)->assertJson(['running' => null, 'last_read' => null, 'nonce' => null, 'interlock' => 'off']);
    hold_badge($this, 'LEARNER');
    $this->withToken($this->token)
        ->getJson('/api/gate/screen?nonce=n-1')
        ->assertJson([
            'nonce' => 'n-1',
            'interlock' => 'on',
            'running' => ['person' => $this->learner->name],
            'last_read' => ['decision' => 'alone'],
        ]);
});

it('shows no badges outside the demo', function (): void {
    $this->withToken($this->token)->getJson('/api/gate/demo-badges')->assertOk();
    config(['millstep.demo' => false]);
    $this->withToken($this->token)->getJson('/api/gate/demo-badges')->assertNotFound();
});
