<?php

declare(strict_types=1);

use App\Gate\BadgeRead;
use App\Gate\MachineSession;
use App\Gate\Moment;
use App\People\Role;
use App\Records\Alert;
use App\Support\DatabaseClock;
use Illuminate\Support\Facades\Artisan;

beforeEach(fn () => at_a_gate($this));

/** The instructor says that the clock is right. */
function confirm_clock($test, array $with = []): Illuminate\Testing\TestResponse
{
    app('auth')->forgetGuards();

    return $test->flushHeaders()->actingAs($test->by)
        ->postJson('/api/gate/clock/confirmation', ['id' => fake_uuid(), 'pin' => '2468', ...$with]);
}

it('goes by the database\'s clock, not by this machine\'s', function (): void {
    $before = microtime(true);
    $now = Moment::at($this->machine->id)->now;
    expect($now->getPreciseTimestamp(6) / 1e6)->toBeBetween($before - 0.5, microtime(true) + 0.5)
        ->and(DatabaseClock::pretended())->toBeNull();
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $turn = MachineSession::query()->sole();
    expect(BadgeRead::query()->sole()->read_at->equalTo($turn->started_at))->toBeTrue();
});

it('gives no power while the clock stands before what was written, ends what runs, and tells the lead', function (): void {
    $this->travelTo(now()->addMinutes(10));
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $this->travelBack();
    screen($this)->assertJson(['interlock' => 'off', 'ended' => ['reasons' => ['clock_set_back']]]);
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'no', 'reasons' => ['clock_set_back'], 'interlock' => 'off']);
    Artisan::call('gate:review');
    expect(Alert::query()->where('kind', 'clock_set_back')->count())->toBe(1);
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->by)->getJson('/api/gate/clock')->assertJson(['set_back' => true]);
    // Whoever confirms reads what the gate's clock says, and what it contradicts.
    $clock = $this->getJson('/api/gate/clock');
    expect(abs(now()->diffInSeconds($clock->json('now'))))->toBeLessThan(5.0)
        ->and(abs(now()->addMinutes(10)->diffInSeconds($clock->json('latest'))))->toBeLessThan(5.0);
    confirm_clock($this)->assertNoContent();
    $this->getJson('/api/gate/clock')->assertJson(['set_back' => false]);
    hold_badge($this, 'LEARNER')->assertJson(['decision' => 'alone', 'interlock' => 'on']);
});

it('bears two seconds, which clocks are apart', function (): void {
    $this->travelTo(now()->addMilliseconds(1_500));
    hold_badge($this, 'LEARNER');
    $this->travelBack();
    expect(screen($this)->json('interlock'))->toBe('on');
});

it('looks again at what comes after a confirmation', function (): void {
    $this->travelTo(now()->addHour());
    hold_badge($this, 'LEARNER');
    $this->travelBack();
    confirm_clock($this)->assertNoContent();
    // Put back once more, while what was confirmed still lies ahead.
    $this->travelTo(now()->addMinutes(5));
    hold_badge($this, 'LEARNER')->assertJson(['interlock' => 'on']);
    $this->travelBack();
    expect(screen($this)->json('interlock'))->toBe('off');
});

it('is a person who confirms: one who teaches, with their PIN, once however often it is sent', function (): void {
    $this->travelTo(now()->addHour());
    hold_badge($this, 'LEARNER');
    $this->travelBack();
    confirm_clock($this, ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong');
    foreach ([Role::Learner, Role::Auditor] as $role) {
        app('auth')->forgetGuards();
        $this->actingAs($this->person($role))
            ->postJson('/api/gate/clock/confirmation', ['id' => fake_uuid(), 'pin' => '2468'])->assertForbidden();
        $this->getJson('/api/gate/clock')->assertForbidden();
    }
    expect(screen($this)->json('interlock'))->toBe('off');
    $id = fake_uuid();
    confirm_clock($this, ['id' => $id])->assertNoContent();
    confirm_clock($this, ['id' => $id])->assertNoContent();
    expect(App\Gate\ClockConfirmation::query()->count())->toBe(1);
});
