<?php

declare(strict_types=1);

use App\Learning\HoldPoint;
use App\Learning\Lesson;
use App\Learning\OpenLesson;
use App\People\Cohort;
use Illuminate\Support\Facades\RateLimiter;

/** A learner who waits at a hold point, and an instructor with a PIN beside them. */
beforeEach(function (): void {
    $this->learner = $this->person();
    $this->by = $this->instructor();
    $this->by->update(['pin_hash' => '7305', 'all_cohorts' => true]);
    bring($this->learner, 2, $this->by);
    $progress = app(OpenLesson::class)($this->learner, Lesson::current('C7'));
    $this->actingAs($this->learner)->putJson("/api/learning/progress/$progress->id/steps/set", [])->assertOk();
    $this->hold = HoldPoint::query()->sole();
    RateLimiter::clear('opening-here:'.$this->learner->id);
    RateLimiter::clear('opening-here-at:'.hash('sha256', '127.0.0.1 Symfony'));
    $this->floor = fn (bool $there = true) => App\Gate\Presence::query()
        ->updateOrCreate(['user_id' => $this->by->id], ['until' => $there ? now()->addHour() : now()->subMinute()]);
    ($this->floor)();
});

function open_here($test, array $with = []): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/learning/holds/{$test->hold->id}/opening-here", ['by' => $test->by->id, 'pin' => '7305', ...$with]);
}

it('opens a hold point on the learner\'s device by the PIN of whoever teaches them, once', function (): void {
    $this->getJson("/api/learning/holds/{$this->hold->id}/openers")->assertOk()
        ->assertJson([['id' => $this->by->id, 'name' => $this->by->name]]);
    open_here($this)->assertNoContent();
    $opened = $this->hold->fresh()->opened_at;
    open_here($this)->assertNoContent();
    expect($this->hold->fresh()->opened_at->equalTo($opened))->toBeTrue()->and($this->hold->fresh()->opened_by)->toBe($this->by->id);
});

it('opens for no wrong PIN, for nobody who does not teach this learner, and on nobody else\'s device', function (): void {
    open_here($this, ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong_here');
    open_here($this, ['pin' => str_repeat('7', 40)])->assertUnprocessable();
    open_here($this, ['by' => $this->learner->id])->assertForbidden()->assertJsonPath('code', 'not_yours_to_open');
    open_here($this, ['by' => 999_999])->assertForbidden()->assertJsonPath('code', 'not_yours_to_open');
    $stranger = $this->instructor();
    $stranger->update(['pin_hash' => '7305', 'all_cohorts' => false]);
    $stranger->cohorts()->attach(Cohort::query()->create(['name' => 'Elsewhere', 'starts_on' => now()]));
    open_here($this, ['by' => $stranger->id])->assertForbidden()->assertJsonPath('code', 'not_yours_to_open');
    $this->by->update(['active' => false]);
    open_here($this)->assertForbidden();
    $this->by->update(['active' => true]);
    $this->actingAs($this->person());
    open_here($this)->assertNotFound();
    $this->getJson("/api/learning/holds/{$this->hold->id}/openers")->assertNotFound();
    expect($this->hold->fresh()->opened_at)->toBeNull();
});

it('counts five an hour before it looks, and never locks the instructor by it', function (): void {
    foreach (range(1, 5) as $guess) {
        open_here($this, ['pin' => "000$guess"])->assertForbidden();
    }
    open_here($this)->assertTooManyRequests()->assertJsonPath('code', 'pin_guessed');
    expect($this->by->fresh()->pin_locked_until)->toBeNull()->and($this->by->fresh()->pin_failures)->toBe(0);
    app(App\People\Pin::class)->confirm($this->by->fresh(), '7305');
    expect($this->hold->fresh()->opened_at)->toBeNull();
    // Another learner at the same device has no more tries than it has.
    $other = $this->person();
    bring($other, 2, $this->by);
    $progress = app(OpenLesson::class)($other, Lesson::current('C7'));
    $this->actingAs($other)->putJson("/api/learning/progress/$progress->id/steps/set", [])->assertOk();
    $this->hold = HoldPoint::query()->where('progress_id', $progress->id)->sole();
    open_here($this)->assertTooManyRequests();
});

it('counts no look that was given: a shared tablet has more than five an hour', function (): void {
    foreach (range(1, 7) as $look) {
        open_here($this)->assertNoContent();
        $this->hold->fresh()->update(['opened_at' => null]);
    }
    open_here($this, ['pin' => '0000'])->assertForbidden()->assertJsonPath('code', 'pin_wrong_here');
});

it('opens only while they are on the floor', function (): void {
    ($this->floor)(false);
    $this->getJson("/api/learning/holds/{$this->hold->id}/openers")->assertOk()->assertExactJson([]);
    open_here($this)->assertForbidden()->assertJsonPath('code', 'not_on_the_floor');
    expect($this->hold->fresh()->opened_at)->toBeNull();
});

it('says in the record that it was opened there, and takes "that was not me" from whose PIN it was', function (): void {
    open_here($this)->assertNoContent();
    expect($this->hold->fresh()->opened_here)->toBeTrue();
    $this->actingAs($this->instructor())->getJson('/api/learning/looks-here')->assertOk()->assertExactJson([]);
    $this->postJson("/api/learning/holds/{$this->hold->id}/disowning")->assertForbidden()->assertJsonPath('code', 'not_your_look');
    $this->actingAs($this->by)->getJson('/api/learning/looks-here')->assertOk()->assertJsonPath('0.learner', $this->learner->name);
    $this->postJson("/api/learning/holds/{$this->hold->id}/disowning")->assertNoContent();
    $this->postJson("/api/learning/holds/{$this->hold->id}/disowning")->assertNoContent();
    expect($this->hold->fresh()->waits())->toBeTrue()
        ->and($this->hold->fresh()->progress->answers)->not->toHaveKey($this->hold->step)
        ->and(App\Records\Alert::query()->where('kind', 'look_disowned')->count())->toBe(1);
    $this->getJson('/api/learning/looks-here')->assertExactJson([]);
});
