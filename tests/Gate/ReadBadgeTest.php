<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Gate\Badge;
use App\Gate\PairDevice;
use App\Gate\Presence;
use App\Workshop\Machine;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;

function badge($test, string $code, array $with = []): Illuminate\Testing\TestResponse
{
    return $test->withToken($test->token)->postJson('/api/gate/reads', [...['id' => fake_uuid(), 'badge' => $code], ...$with])->assertSuccessful();
}

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    Badge::query()->create(['user_id' => $this->learner->id, 'code_hash' => Badge::hash('LEARNER')]);
    Badge::query()->create(['user_id' => $this->by->id, 'code_hash' => Badge::hash('TEACHER')]);
    $this->machine = Machine::query()->where('slug', 'bench-drill')->firstOrFail();
    $this->token = app(PairDevice::class)($this->machine, $this->by, 'Reader');
});

it('says no, with supervision or alone as the standing has it', function (): void {
    badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'reasons' => ['safety_check_not_passed'], 'interlock' => 'off']);
    bring($this->learner, 3, $this->by);
    badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'reasons' => ['not_signed_off', 'supervisor_absent'], 'interlock' => 'off']);
    badge($this, 'TEACHER')->assertJson(['event' => 'present', 'decision' => null, 'interlock' => 'off']);
    badge($this, 'LEARNER')->assertJson(['decision' => 'supervised', 'reasons' => ['not_signed_off'], 'interlock' => 'on', 'missing' => ['assessment:PS-through-holes']]);
    badge($this, 'LEARNER')->assertJson(['event' => 'finished', 'interlock' => 'off']);
});

it('lets a signed-off learner run alone within the scope', function (): void {
    bring($this->learner, 5, $this->by);
    badge($this, 'LEARNER', ['request' => ['diameter_mm' => 12]])->assertJson(['decision' => 'no', 'reasons' => ['outside_scope_diameter', 'supervisor_absent']]);
    badge($this, ' learner ', ['request' => ['diameter_mm' => 10, 'operation' => 'drill']])->assertJson(['decision' => 'alone', 'reasons' => [], 'interlock' => 'on']);
});

it('never opens for what speaks against it', function (Closure $spoil, string $reason): void {
    bring($this->learner, 5, $this->by);
    $spoil($this);
    badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'interlock' => 'off'])->assertJsonPath('reasons.0', $reason);
})->with([
    'machine out of service' => [fn ($test) => $test->machine->update(['in_service' => false]), 'machine_out_of_service'],
    'person inactive' => [fn ($test) => $test->learner->update(['active' => false]), 'person_inactive'],
    'badge withdrawn' => [fn () => Badge::query()->update(['active' => false]), 'badge_unknown'],
    'permit held' => [fn ($test) => app(App\Competency\PlaceHold::class)($test->learner, $test->permit(), $test->by, 'suspended', 'For a talk.'), 'held'],
    'shop closed' => [fn () => Policy::query()->create(['settings' => ['hours' => []], 'in_force_from' => now()]), 'outside_hours'],
    'companion asked for' => [fn () => Policy::query()->create(['settings' => ['companion_required' => true, 'hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '24:00']]], 'in_force_from' => now()]), 'companion_absent'],
    'no permit defined' => [fn ($test) => $test->machine->permits()->detach(), 'no_permit_defined'],
    'too long away' => [fn () => test()->travelTo(CarbonImmutable::now()->addDays(120)), 'lapsed_recency'],
]);

it('takes another person\'s badge for a companion, not one\'s own', function (): void {
    bring($this->learner, 5, $this->by);
    Policy::query()->create(['settings' => ['companion_required' => true, 'hours' => [['days' => [1, 2, 3, 4, 5, 6, 7], 'from' => '00:00', 'to' => '24:00']]], 'in_force_from' => now()]);
    badge($this, 'LEARNER', ['companion_badge' => 'LEARNER'])->assertJson(['decision' => 'no']);
    badge($this, 'LEARNER', ['companion_badge' => 'TEACHER'])->assertJson(['decision' => 'alone']);
});

it('counts an instructor as supervising only while on the floor', function (): void {
    bring($this->learner, 2, $this->by);
    $this->actingAs($this->by)->putJson('/api/gate/presence', ['present' => true])->assertOk();
    expect(Presence::supervises($this->learner))->toBeTrue();
    $this->travel(241)->minutes();
    expect(Presence::supervises($this->learner))->toBeFalse();
});

it('writes the time at the machine when the badge comes again', function (): void {
    bring($this->learner, 5, $this->by);
    badge($this, 'LEARNER');
    $this->travel(37)->minutes();
    badge($this, 'LEARNER')->assertJson(['event' => 'finished']);
    expect(LedgerEntry::query()->where('type', 'machine_time')->firstOrFail()->details())->toMatchArray(['minutes' => 37, 'machine' => 'bench-drill']);
});

it('answers a read that is sent again as it did the first time', function (): void {
    bring($this->learner, 5, $this->by);
    $id = fake_uuid();
    badge($this, 'LEARNER', ['id' => $id])->assertJson(['decision' => 'alone']);
    badge($this, 'LEARNER', ['id' => $id])->assertJson(['decision' => 'alone', 'event' => 'decision']);
    expect(LedgerEntry::query()->where('type', 'machine_time')->exists())->toBeFalse();
});

it('shows its machine\'s screen who has it', function (): void {
    bring($this->learner, 5, $this->by);
    $this->withToken($this->token)->getJson('/api/gate/screen')->assertOk()->assertJson(['running' => null, 'last_read' => null]);
    badge($this, 'LEARNER');
    $this->withToken($this->token)->getJson('/api/gate/screen')->assertJsonPath('running.person', $this->learner->name)->assertJsonPath('last_read.decision', 'alone');
});

it('shows no badges outside the demo', function (): void {
    $this->withToken($this->token)->getJson('/api/gate/demo-badges')->assertOk();
    config(['millstep.demo' => false]);
    $this->withToken($this->token)->getJson('/api/gate/demo-badges')->assertNotFound();
});
