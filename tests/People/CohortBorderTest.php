<?php

declare(strict_types=1);

use App\Assessment\Sheet;
use App\Competency\PlaceHold;
use App\Learning\AnswerStep;
use App\Learning\Lesson;
use App\Learning\OpenLesson;
use App\People\Cohort;
use App\People\Role;
use App\Practice\LogPractice;
use App\Workshop\Machine;

beforeEach(function (): void {
    $this->mine = Cohort::query()->create(['name' => 'Mine', 'starts_on' => now()]);
    $this->theirs = Cohort::query()->create(['name' => 'Theirs', 'starts_on' => now()]);
    $this->own = $this->person();
    $this->own->cohorts()->attach($this->mine);
    $this->other = $this->person();
    $this->other->cohorts()->attach($this->theirs);
    $this->by = $this->instructor();
    $this->by->update(['all_cohorts' => false]);
    $this->by->cohorts()->attach($this->mine);
});

it('shows an instructor the learners of their own cohorts, until the lead says otherwise', function (): void {
    $this->actingAs($this->by)->getJson("/api/records/learners/{$this->own->id}")->assertOk();
    $this->getJson("/api/records/learners/{$this->other->id}")->assertForbidden();
    expect(array_column($this->getJson('/api/records/today')->json('cohorts'), 'name'))->toBe(['Mine']);
    $this->actingAs($this->person(Role::Lead))->putJson("/api/people/everybody/{$this->by->id}", [
        'name' => $this->by->name, 'email' => $this->by->email, 'role' => 'instructor', 'all_cohorts' => true,
    ])->assertOk();
    $this->actingAs($this->by->refresh())->getJson("/api/records/learners/{$this->other->id}")->assertOk();
    expect(array_column($this->getJson('/api/records/today')->json('cohorts'), 'name'))->toBe(['Mine', 'Theirs']);
});

it('lets nobody decide, mark or sign for a learner of another cohort', function (): void {
    $all = $this->instructor();
    bring($this->other, 2, $all);
    $progress = app(OpenLesson::class)($this->other, Lesson::current('C6'));
    foreach (['dress', 'heights', 'pilot-speed', 'fit', 'hold'] as $step) {
        $progress = app(AnswerStep::class)($progress, $step, null);
    }
    $entry = app(LogPractice::class)($this->other, Machine::query()->firstOrFail(), [
        'id' => fake_uuid(), 'exercise' => 'Holes in scrap', 'minutes' => 30, 'done_on' => now()->format('Y-m-d'),
    ]);
    $permit = $this->permit()->code;
    $this->actingAs($this->by);
    expect($this->getJson('/api/records/today')->json('waiting'))->toBe([]);
    $this->postJson('/api/learning/holds/'.$progress->holds[0]->id.'/open')->assertForbidden();
    $this->postJson("/api/practice/entries/$entry->id/decision", ['confirm' => true])->assertForbidden();
    $this->postJson('/api/assessment/attempts', [
        'id' => fake_uuid(), 'sheet' => Sheet::query()->firstOrFail()->code, 'learner_id' => $this->other->id,
    ])->assertForbidden();
    $this->postJson("/api/competency/learners/{$this->other->id}/permits/$permit/sign-off", [])->assertForbidden();
    $this->getJson("/api/practice/learners/{$this->other->id}/entries")->assertForbidden();
});

it('lets whoever teaches hold anybody back, but lift it only from their own', function (): void {
    $permit = $this->permit();
    $this->actingAs($this->by)->postJson("/api/competency/learners/{$this->other->id}/permits/$permit->code/holds", [
        'id' => fake_uuid(), 'type' => 'suspended', 'reason' => 'Saw them reach over a running spindle.',
    ])->assertCreated();
    $lift = ['type' => 'reinstated', 'reason' => 'Talked it through.', 'pin' => '2468'];
    $url = fn ($learner): string => "/api/competency/learners/$learner->id/permits/$permit->code/holds";
    $this->postJson($url($this->other), ['id' => fake_uuid(), ...$lift])->assertForbidden()->assertJsonPath('code', 'not_authorised');
    app(PlaceHold::class)($this->own, $permit, $this->by, 'suspended', 'For a talk.');
    $this->postJson($url($this->own), ['id' => fake_uuid(), ...$lift])->assertCreated();
});
