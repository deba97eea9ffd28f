<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Learning\CheckAttempt;

/** A check given out on paper, and its answers typed in by whoever teaches. */
beforeEach(function (): void {
    $this->by = $this->instructor();
    $this->learner = $this->person();
    $this->give = fn (array $learners) => $this->actingAs($this->by)->postJson('/api/learning/checks/SC-through-holes/papers', [
        'papers' => array_map(static fn (int $id): array => ['id' => fake_uuid(), 'learner_id' => $id], $learners),
    ]);
    $this->right = fn (string $id): array => collect(CheckAttempt::query()->findOrFail($id)->paper()->questions)
        ->mapWithKeys(static fn ($question): array => [$question->id => $question->rightAnswer()])->all();
});

it('gives each learner a paper of their own, and the same one when it is asked for again', function (): void {
    $other = $this->person();
    $papers = ($this->give)([$this->learner->id, $other->id])->assertOk()->json('papers');
    expect(CheckAttempt::query()->whereIn('id', $papers)->distinct()->pluck('seed'))->toHaveCount(2)
        ->and(($this->give)([$this->learner->id])->json('papers'))->toBe([$papers[0]]);
    $this->getJson("/api/learning/attempts/{$papers[0]}")->assertOk()
        ->assertJson(['on_paper' => true, 'paper_by' => $this->by->name, 'learner' => $this->learner->name]);
    expect(collect($this->getJson('/api/learning/checks/SC-through-holes/figures')->json('on_paper'))->pluck('id')->sort()->values()->all())
        ->toBe(collect($papers)->sort()->values()->all());
});

it('is judged and kept as any other, in the name of whoever typed it in', function (): void {
    [$id] = ($this->give)([$this->learner->id])->json('papers');
    $this->travel(5)->hours();
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => ($this->right)($id), 'units' => 'mm'])->assertOk()
        ->assertJsonPath('result.passed', true)->assertJsonPath('result.late', false)->assertJsonPath('typed_by', $this->by->name);
    $entry = LedgerEntry::query()->where('type', 'check_attempted')->firstOrFail();
    expect($entry)->learner_id->toBe($this->learner->id)->recorded_by->toBe($this->by->id)
        ->and($entry->details())->toMatchArray(['passed' => true, 'on_paper' => true]);
    // Sent twice it is one, whatever it says then.
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk()->assertJsonPath('result.passed', true);
    expect(LedgerEntry::query()->where('type', 'check_attempted')->count())->toBe(1);
});

it('is not handed in on a screen, and what is on a screen is typed in by nobody else', function (): void {
    [$id] = ($this->give)([$this->learner->id])->json('papers');
    $this->actingAs($this->learner)->postJson("/api/learning/attempts/$id/answers", ['answers' => ($this->right)($id)])
        ->assertConflict()->assertJsonPath('code', 'check_on_paper');
    $other = $this->person();
    $open = $this->actingAs($other)->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])->json('id');
    $this->actingAs($this->by)->postJson("/api/learning/attempts/$open/answers", ['answers' => []])
        ->assertConflict()->assertJsonPath('code', 'check_on_screen');
    expect(LedgerEntry::query()->where('type', 'check_attempted')->exists())->toBeFalse();
});

it('may be given out while it is open on a screen: the same questions, on paper from then on', function (): void {
    $open = $this->actingAs($this->learner)->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])->json();
    expect(($this->give)([$this->learner->id])->json('papers'))->toBe([$open['id']]);
    $this->actingAs($this->learner)->getJson("/api/learning/attempts/{$open['id']}")->assertJsonPath('on_paper', true)
        ->assertJsonPath('questions', $open['questions']);
});

it('has a key for whoever corrects it, and for nobody else', function (): void {
    [$id] = ($this->give)([$this->learner->id])->json('papers');
    $lines = $this->getJson("/api/learning/attempts/$id/key")->assertOk()->json('lines');
    expect(array_unique(array_column($lines, 'right')))->toBe([true])->and(array_column($lines, 'explanation'))->not->toContain('');
    foreach ([$this->learner, $this->person()] as $who) {
        $this->actingAs($who)->getJson("/api/learning/attempts/$id/key")->assertForbidden();
        $this->actingAs($who)->deleteJson("/api/learning/attempts/$id")->assertForbidden();
    }
});

it('is put away where it came back empty, and stays once it was typed in', function (): void {
    [$id] = ($this->give)([$this->learner->id])->json('papers');
    $this->deleteJson("/api/learning/attempts/$id")->assertNoContent();
    expect(CheckAttempt::query()->find($id))->toBeNull();
    [$id] = ($this->give)([$this->learner->id])->json('papers');
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => ($this->right)($id)])->assertOk();
    $this->deleteJson("/api/learning/attempts/$id")->assertNoContent();
    expect(CheckAttempt::query()->find($id))->not->toBeNull();
    // The next paper waits as the next try on a screen does.
    ($this->give)([$this->learner->id])->assertConflict()->assertJsonPath('code', 'check_wait');
});

it('is given to nobody whom one does not teach', function (): void {
    $this->by->update(['all_cohorts' => false]);
    ($this->give)([$this->learner->id])->assertForbidden();
    $this->by->update(['all_cohorts' => true]);
    ($this->give)([$this->by->id])->assertNotFound();
    ($this->give)([])->assertUnprocessable();
    expect(CheckAttempt::query()->count())->toBe(0);
});
