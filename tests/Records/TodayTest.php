<?php

declare(strict_types=1);

use App\Competency\AcknowledgeStatement;
use App\Gate\Presence;
use App\Learning\AnswerStep;
use App\Learning\Lesson;
use App\Learning\OpenLesson;
use App\People\Cohort;
use App\Practice\LogPractice;
use App\Workshop\Machine;

beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->cohort = Cohort::query()->create(['name' => 'Morning', 'starts_on' => now()]);
    $this->learner = $this->person();
    $this->learner->cohorts()->attach($this->cohort);
    $this->today = fn () => $this->actingAs($this->by)->getJson('/api/records/today')->assertOk();
    $this->waiting = fn (): array => array_column(($this->today)()->json('waiting'), 'kind');
});

it('says so when nobody waits', function (): void {
    expect(($this->waiting)())->toBe([]);
    ($this->today)()
        ->assertJsonPath('cohorts.0.learners.0.standings.drill-through-10.stage', 0)
        ->assertJsonPath('on_floor_until', null)
        ->assertJsonPath('at_machines', []);
});

it('lists a learner at a hold point until the instructor has looked', function (): void {
    bring($this->learner, 2, $this->by);
    $progress = app(OpenLesson::class)($this->learner, Lesson::current('C6'));
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        $progress = app(AnswerStep::class)($progress, $step, null);
    }
    expect(($this->waiting)())->toBe(['look']);
    $this->postJson('/api/learning/holds/'.$progress->holds[0]->id.'/open')->assertNoContent();
    expect(($this->waiting)())->toBe([]);
});

it('lists practice until it is decided on', function (): void {
    $entry = app(LogPractice::class)(
        $this->learner,
        Machine::query()->firstOrFail(),
        ['id' => fake_uuid(), 'exercise' => 'Plate', 'minutes' => 20, 'done_on' => now()->toDateString()],
    );
    expect(($this->waiting)())->toBe(['practice']);
    $this->postJson("/api/practice/entries/{$entry->id}/decision", ['confirm' => false, 'reason' => 'Not seen.'])->assertOk();
    expect(($this->waiting)())->toBe([]);
});

it('lists a sheet that was left open', function (): void {
    bring($this->learner, 3, $this->by);
    $this->actingAs($this->by)
        ->postJson('/api/assessment/attempts', ['id' => fake_uuid(), 'sheet' => 'PS-through-holes', 'learner_id' => $this->learner->id])
        ->assertCreated();
    expect(($this->waiting)())->toBe(['sheet']);
});

it('tells who has to acknowledge from who waits for the signature', function (): void {
    bring($this->learner, 4, $this->by);
    expect(($this->waiting)())->toBe(['acknowledgement']);
    app(AcknowledgeStatement::class)($this->learner, $this->permit(), 1);
    expect(($this->waiting)())->toBe(['signature']);
});

it('asks for no signature for a permit that is held', function (): void {
    bring($this->learner, 4, $this->by);
    app(App\Competency\PlaceHold::class)($this->learner, $this->permit(), $this->by, 'suspended', 'For a talk.');
    expect(($this->waiting)())->toBe([]);
});

it('knows until when one is on the floor', function (): void {
    $this->actingAs($this->by)->putJson('/api/gate/presence', ['present' => true])->assertOk();
    expect(($this->today)()->json('on_floor_until'))->not->toBeNull();
    $this->putJson('/api/gate/presence', ['present' => false])->assertOk()->assertJson(['on_floor_until' => null]);
    expect(($this->today)()->json('on_floor_until'))->toBeNull()->and(Presence::query()->where('until', '>', now())->exists())->toBeFalse();
});

it('leaves out who is no longer here', function (): void {
    $this->learner->update(['active' => false]);
    ($this->today)()->assertJsonPath('cohorts.0.learners', []);
});
