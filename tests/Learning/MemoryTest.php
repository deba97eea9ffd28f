<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Learning\CheckAttempt;
use App\Learning\Memory\Recall;
use App\People\Cohort;
use App\Policy\Policy;

/** A paper handed in by whoever is signed in: right, but for what is said. */
function handed_in(object $test, array $wrong = [], string $check = 'SC-through-holes'): CheckAttempt
{
    $id = $test->postJson("/api/learning/checks/$check/attempts", ['id' => fake_uuid()])->assertSuccessful()->json('id');
    $answers = [];
    foreach (CheckAttempt::query()->findOrFail($id)->paper()->questions as $question) {
        $answers[$question->id] = in_array($question->id, $wrong, true) ? [] : $question->rightAnswer();
    }
    $test->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk();

    return CheckAttempt::query()->findOrFail($id);
}

function asks_a_day(int $questions): void
{
    $settings = [...Policy::settingsInForce(), 'recall_questions_a_day' => $questions];
    Policy::query()->create(['settings' => $settings, 'in_force_from' => now()->subMinute()]);
}

beforeEach(function (): void {
    $this->actingAs($this->learner = $this->person());
    $this->ask = fn (): array => $this->postJson('/api/learning/recalls')->assertOk()->json('questions');
});

it('asks nothing of a check that was not passed, and nothing on the day of it', function (): void {
    expect(($this->ask)())->toBe([]);
    handed_in($this, ['held-by-hand']);
    $this->travel(30)->days();
    expect(($this->ask)())->toBe([]);
    $this->actingAs($this->person());
    handed_in($this);
    expect(($this->ask)())->toBe([]);
});

it('asks a few that are due, the most faded first, the same ones until they are answered, and no more that day', function (): void {
    handed_in($this);
    $this->travel(10)->days();
    $asked = ($this->ask)();
    expect($asked)->toHaveCount(5)->and(array_column(($this->ask)(), 'id'))->toBe(array_column($asked, 'id'))
        ->and(json_encode($asked))->not->toContain('explanation');
    foreach ($asked as $one) {
        $right = Recall::query()->with('check')->findOrFail($one['id'])->drawn()->rightAnswer();
        $this->postJson("/api/learning/recalls/{$one['id']}/answer", ['answer' => $right])->assertOk()
            ->assertJsonPath('line.right', true)->assertJsonPath('line.id', $one['question']['id']);
    }
    expect(($this->ask)())->toBe([]);
    $this->travel(1)->days();
    $next = ($this->ask)();
    expect($next)->toHaveCount(5)
        ->and(array_intersect(array_column(array_column($next, 'question'), 'id'), array_column(array_column($asked, 'question'), 'id')))
        ->toBe([]);
});

it('explains at once, keeps the first answer, and writes nothing into the ledger', function (): void {
    handed_in($this);
    $lines = LedgerEntry::query()->count();
    $this->travel(10)->days();
    $id = ($this->ask)()[0]['id'];
    $wrong = $this->postJson("/api/learning/recalls/$id/answer", ['answer' => ['nothing']])->assertOk();
    expect($wrong->json('line.right'))->toBeFalse()->and($wrong->json('line.explanation'))->not->toBe('')
        ->and($wrong->json('line.right_answer'))->not->toBeNull();
    $right = Recall::query()->with('check')->findOrFail($id)->drawn()->rightAnswer();
    $this->postJson("/api/learning/recalls/$id/answer", ['answer' => $right])->assertOk()->assertJsonPath('line.right', false);
    expect(LedgerEntry::query()->count())->toBe($lines);
});

it('says what is fading, lesson by lesson, and a wrong answer weakens its lesson', function (): void {
    asks_a_day(30);
    handed_in($this);
    $this->travel(3)->days();
    $fading = fn (): array => collect($this->getJson("/api/learning/learners/{$this->learner->id}/memory")->assertOk()->json('lessons'))
        ->keyBy('lesson')->all();
    $before = $fading();
    expect($before)->toHaveKey('C1')->and($before['C1']['recall'])->toBeGreaterThan(0.9)->toBeLessThan(1.0);
    $this->travel(20)->days();
    expect($fading()['C1']['recall'])->toBeLessThan($before['C1']['recall'])->and($fading()['C1']['due'])->toBeGreaterThan(0);
    $asked = ($this->ask)()[0];
    $this->postJson("/api/learning/recalls/{$asked['id']}/answer", ['answer' => ['nothing']])->assertOk();
    foreach (($this->ask)() as $one) {
        $right = Recall::query()->with('check')->findOrFail($one['id'])->drawn()->rightAnswer();
        $this->postJson("/api/learning/recalls/{$one['id']}/answer", ['answer' => $right])->assertOk();
    }
    $this->travel(3)->days();
    $again = array_column(array_column(($this->ask)(), 'question'), 'id');
    expect($again)->toBe([$asked['question']['id']]);
});

it('is nobody else\'s question, and nobody else\'s memory', function (): void {
    handed_in($this);
    $this->travel(10)->days();
    $id = ($this->ask)()[0]['id'];
    $this->actingAs($this->person());
    $this->postJson("/api/learning/recalls/$id/answer", ['answer' => []])->assertForbidden();
    $this->getJson("/api/learning/learners/{$this->learner->id}/memory")->assertForbidden();
    $this->actingAs($this->instructor())->postJson('/api/learning/recalls')->assertForbidden();
    $this->postJson("/api/learning/recalls/$id/answer", ['answer' => []])->assertForbidden();
});

it('refuses an answer that is none, and keeps the question open', function (mixed $answer): void {
    handed_in($this);
    $this->travel(10)->days();
    $id = ($this->ask)()[0]['id'];
    $this->postJson("/api/learning/recalls/$id/answer", ['answer' => $answer])->assertUnprocessable();
    expect(Recall::query()->findOrFail($id)->answered_at)->toBeNull();
})->with([
    'no list' => ['text'], 'names' => [['a' => 'b']], 'a list in it' => [[['a']]], 'too long' => [[str_repeat('9', 61)]],
    'a NUL' => [["a\0b"]], 'too many' => [array_fill(0, 21, 'a')],
]);

it('asks as many a day as the policy says, none where it says none', function (int $a_day): void {
    handed_in($this);
    $this->travel(20)->days();
    asks_a_day($a_day);
    expect(($this->ask)())->toHaveCount($a_day);
})->with([0, 2]);

it('makes a class\'s warm-up of its weakest lessons, with their answers, for who teaches it', function (): void {
    handed_in($this);
    $cohort = Cohort::query()->create(['name' => 'Warm', 'starts_on' => now()->subMonth()]);
    $cohort->members()->attach($this->learner);
    $this->travel(30)->days();
    $this->getJson("/api/learning/cohorts/{$cohort->id}/warm-up?seed=5")->assertForbidden();
    $this->actingAs($instructor = $this->instructor());
    $instructor->update(['all_cohorts' => false]);
    $this->getJson("/api/learning/cohorts/{$cohort->id}/warm-up?seed=5")->assertForbidden();
    $instructor->update(['all_cohorts' => true]);
    $warm = $this->getJson("/api/learning/cohorts/{$cohort->id}/warm-up?seed=5")->assertOk();
    expect($warm->json('lessons'))->toHaveCount(3)->and(count($warm->json('questions')))->toBeGreaterThanOrEqual(3)->toBeLessThanOrEqual(6)
        ->and(array_unique(array_column($warm->json('questions'), 'lesson')))->toHaveCount(3)
        ->and($warm->json('questions.0.line.explanation'))->not->toBe('')
        ->and($this->getJson("/api/learning/cohorts/{$cohort->id}/warm-up?seed=5")->json())->toBe($warm->json());
    $this->getJson("/api/learning/cohorts/{$cohort->id}/warm-up")->assertUnprocessable();
});

it('has nothing to warm up in a class that has passed nothing', function (): void {
    $cohort = Cohort::query()->create(['name' => 'New', 'starts_on' => now()->subMonth()]);
    $this->actingAs($this->person(App\People\Role::Lead))->getJson("/api/learning/cohorts/{$cohort->id}/warm-up?seed=1")->assertOk()
        ->assertJsonPath('lessons', [])->assertJsonPath('questions', []);
});

it('shows how each question fared, with what was chosen instead, to who teaches those who answered', function (): void {
    foreach (range(1, 8) as $n) {
        $this->actingAs($this->person());
        $id = $this->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])->json('id');
        $answers = [];
        foreach (CheckAttempt::query()->findOrFail($id)->paper()->questions as $question) {
            $answers[$question->id] = $question->id === 'held-by-hand' && $n > 2 ? ['glove'] : $question->rightAnswer();
        }
        $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk();
    }
    $this->getJson('/api/learning/checks')->assertForbidden();
    $this->getJson('/api/learning/checks/SC-through-holes/figures')->assertForbidden();
    $this->actingAs($this->person(App\People\Role::Lead));
    $figures = $this->getJson('/api/learning/checks/SC-through-holes/figures')->assertOk();
    $item = collect($figures->json('items'))->firstWhere('id', 'held-by-hand');
    expect($figures->json('papers'))->toBe(8)->and($figures->json('passed'))->toBe(2)
        ->and($item)->asked->toBe(8)->right->toBe(2)->success->toBe(0.25)
        ->wrong->toBe([['chosen' => 'Hold it with a thick glove on.', 'times' => 6]]);
    expect(collect($this->getJson('/api/learning/checks')->assertOk()->json())->firstWhere('code', 'SC-through-holes'))
        ->papers->toBe(8)->passed->toBe(2)->questions->toBe(23);
});
