<?php

declare(strict_types=1);

use App\Learning\Events\LookAsked;
use App\People\Letter;
use App\People\Role;
use App\People\User;
use App\Practice\Entry;
use App\Records\Listeners\WriteToWhoTeaches;
use Database\Factories\CohortFactory;

/** @return array{0: User, 1: User, 2: User} who teaches the class, who teaches another, a learner of the class */
function aClass($test): array
{
    [$mine, $theirs] = CohortFactory::new()->count(2)->create();
    $teacher = $test->person(Role::Instructor, ['mail_when_waiting' => true]);
    $other = $test->person(Role::Instructor, ['mail_when_waiting' => true]);
    $learner = $test->person();
    $teacher->cohorts()->attach($mine);
    $other->cohorts()->attach($theirs);
    $learner->cohorts()->attach($mine);

    return [$teacher, $other, $learner];
}

function logPractice($test, User $learner): void
{
    $test->actingAs($learner)->postJson('/api/practice/entries', [
        'id' => fake_uuid(), 'machine' => 'bench-drill', 'exercise' => 'Two plates', 'minutes' => 30, 'done_on' => now()->format('Y-m-d'),
    ])->assertCreated();
}

beforeEach(fn () => config(['mail.default' => 'mailbox', 'millstep.demo' => true]));

it('counts those of one’s own classes alone', function (): void {
    [$teacher, $other, $learner] = aClass($this);
    logPractice($this, $learner);
    $this->actingAs($teacher)->getJson('/api/records/waiting')->assertExactJson(['look' => 0, 'practice' => 1]);
    $this->actingAs($other)->getJson('/api/records/waiting')->assertExactJson(['look' => 0, 'practice' => 0]);
    $this->actingAs($learner)->getJson('/api/records/waiting')->assertForbidden();
});

it('writes to whoever teaches the learner and asked for it, in their language, and not twice in a while', function (): void {
    [$teacher, $other, $learner] = aClass($this);
    $teacher->update(['language' => 'es']);
    $this->person(Role::Lead);
    logPractice($this, $learner);
    logPractice($this, $learner);
    $letters = Letter::query()->get();
    expect($letters)->toHaveCount(1)
        ->and($letters->first()?->body)->toContain($learner->name)->toContain('espera confirmación')->toContain('/today')
        // The framework's own words too.
        ->toContain('copie esta dirección')->not->toContain('trouble')->not->toContain('rights');
    $this->travel(WriteToWhoTeaches::QUIET_S + 1)->seconds();
    logPractice($this, $learner);
    expect(Letter::query()->count())->toBe(2);
});

it('writes nothing of what waits no longer, or of somebody who left', function (): void {
    [, , $learner] = aClass($this);
    app(WriteToWhoTeaches::class)->handle(new LookAsked($learner->id));
    app(WriteToWhoTeaches::class)->handle(new LookAsked(999_999_999));
    expect(Letter::query()->count())->toBe(0);
    $learner->update(['active' => false]);
    Entry::query()->where('learner_id', $learner->id)->update(['state' => 'waiting']);
    app(WriteToWhoTeaches::class)->handle(new LookAsked($learner->id));
    expect(Letter::query()->count())->toBe(0);
});

it('is asked for by oneself, and written to nobody who does not teach', function (): void {
    [$teacher, , $learner] = aClass($this);
    $this->actingAs($teacher)->patchJson('/api/people/me', ['mail_when_waiting' => false])->assertOk()
        ->assertJsonPath('mail_when_waiting', false);
    $this->actingAs($learner)->patchJson('/api/people/me', ['mail_when_waiting' => true])->assertOk();
    $this->patchJson('/api/people/me', ['mail_when_waiting' => 'often'])->assertUnprocessable();
    logPractice($this, $learner);
    expect(Letter::query()->count())->toBe(0);
});
