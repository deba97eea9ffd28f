<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Learning\CheckAttempt;
use App\Policy\Policy;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

function rightOnes(CheckAttempt $attempt): array
{
    $answers = [];
    foreach ($attempt->paper()->questions as $question) {
        $answers[$question->id] = $question->rightAnswer();
    }

    return $answers;
}

function aCriticalOne(CheckAttempt $attempt): DrawnQuestion
{
    return array_values(array_filter($attempt->paper()->questions, fn ($one): bool => $one->critical && $one->kind === 'one'))[0];
}

beforeEach(function (): void {
    $this->actingAs($this->learner = $this->person());
    $this->start = fn (?string $id = null) => $this
        ->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => $id ?? fake_uuid()])
        ->assertSuccessful();
});

it('draws sixteen questions of all five kinds, all nine critical ones, and keeps the answers to itself', function (): void {
    $paper = ($this->start)();
    expect($paper->json('questions'))->toHaveCount(16)
        ->and(array_unique(array_column($paper->json('questions'), 'kind')))->toHaveCount(5)
        ->and(array_filter(array_column($paper->json('questions'), 'critical')))->toHaveCount(9)
        ->and($paper->json('result'))->toBeNull()
        ->and($paper->getContent())->not->toContain('explanation')->not->toContain('right_answer');
});

it('goes on with the open paper, and shows it again exactly', function (): void {
    $first = ($this->start)();
    expect(($this->start)()->json('id'))->toBe($first->json('id'));
    expect($this->getJson('/api/learning/attempts/'.$first->json('id'))->json('questions'))->toBe($first->json('questions'));
});

it('marks, explains, and writes one line into the ledger', function (): void {
    $id = ($this->start)()->json('id');
    $answers = rightOnes(CheckAttempt::query()->findOrFail($id));
    $result = $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk();
    expect($result->json('result'))->passed->toBeTrue()->score_percent->toEqual(100)
        ->and($result->json('result.lines.0.explanation'))->not->toBe('');
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk()->assertJsonPath('result.passed', true);
    expect(LedgerEntry::query()->where('type', 'check_attempted')->count())->toBe(1);
});

it('fails on a wrong critical answer, and a retake has other figures', function (): void {
    $id = ($this->start)()->json('id');
    $attempt = CheckAttempt::query()->findOrFail($id);
    $critical = aCriticalOne($attempt);
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => [...rightOnes($attempt), $critical->id => ['wrong']]])->assertOk()
        ->assertJsonPath('result.passed', false)->assertJsonPath('result.critical_wrong', true);
    $this->travel(11)->minutes();
    $again = CheckAttempt::query()->findOrFail(($this->start)()->json('id'));
    expect($again->id)->not->toBe($id)->and($again->paper()->figures())->not->toBe($attempt->paper()->figures());
});

it('is nobody else\'s paper', function (): void {
    $id = ($this->start)()->json('id');
    $this->actingAs($this->person())->getJson("/api/learning/attempts/$id")->assertForbidden();
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertForbidden();
    $this->actingAs($this->instructor())->getJson("/api/learning/attempts/$id")->assertOk();
});

it('reads a bare figure in the units in which it was typed', function (string $units, bool $passes): void {
    $id = ($this->start)()->json('id');
    $attempt = CheckAttempt::query()->findOrFail($id);
    $answers = rightOnes($attempt);
    foreach ($attempt->paper()->questions as $question) {
        if (($question->key->unit ?? null) === 'mm') {
            $answers[$question->id] = [number_format($question->key->answer / 25.4, 4)];
        }
    }
    // Without a figure in millimetres the paper says nothing about units; with one, bare inches are right only in inches.
    $asked = array_filter($attempt->paper()->questions, fn ($question) => ($question->key->unit ?? null) === 'mm') !== [];
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers, 'units' => $units])->assertOk()
        ->assertJsonPath('result.score_percent', fn ($score) => ((float) $score === 100.0) === ($passes || ! $asked));
})->with([['in', true], ['mm', false]]);

it('makes one paper of two starts, and refuses an id that is another\'s paper', function (): void {
    $id = ($this->start)()->json('id');
    expect(($this->start)()->json('id'))->toBe($id)->and(CheckAttempt::query()->count())->toBe(1);
    $this->actingAs($this->person())
        ->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => $id])
        ->assertConflict()
        ->assertJsonPath('code', 'id_used');
});

it('asks about every lesson of the permit, and every critical question of it each time', function (): void {
    $permit = $this->permit();
    $questions = collect(App\Learning\Check::current('SC-through-holes')->questions);
    expect(
        array_diff([...$permit->requirement['lessons'], ...$permit->requirement['guided']], $questions->pluck('lesson')->all()),
    )->toBe([]);
    $critical = $questions->where('critical', true)->pluck('id')->sort()->values()->all();
    foreach (range(1, 50) as $seed) {
        $paper = App\Learning\Check::current('SC-through-holes')->bank()->draw($seed);
        expect(collect($paper->questions)->where('critical', true)->pluck('id')->sort()->values()->all())->toBe($critical);
    }
});

it('has no worked figure that a rounding decides, and none outside the permit\'s scope', function (): void {
    $worked = collect(App\Learning\Check::current('SC-through-holes')->questions)->firstWhere('id', 'worked-speed');
    foreach ($worked['figure']['draw']['diameter_mm'] as $mm) {
        $target = 24_000 / (M_PI * $mm);
        foreach ($worked['figure']['given']['speeds_rpm'] as $rpm) {
            expect(abs($rpm - $target) / $target)->toBeGreaterThan(0.02);
        }
        expect($mm)->toBeLessThanOrEqual(10);
    }
});

it('gives away nothing of a failed paper that may be drawn again', function (): void {
    $id = ($this->start)()->json('id');
    $attempt = CheckAttempt::query()->findOrFail($id);
    $wrong = aCriticalOne($attempt);
    $answer = $this->postJson("/api/learning/attempts/$id/answers", ['answers' => [...rightOnes($attempt), $wrong->id => ['wrong']]])
        ->assertOk();
    $later = fn () => $this->getJson("/api/learning/attempts/$id");
    foreach ([$answer, $later(), $this->actingAs($this->instructor())->getJson("/api/learning/attempts/$id")] as $shown) {
        expect(array_unique(array_column($shown->json('result.lines'), 'right_answer')))->toBe([null])
            ->and(array_unique(array_column($shown->json('result.lines'), 'explanation')))->toBe([null])
            ->and(array_column($shown->json('result.lines'), 'right'))->toContain(false);
    }
});

it('waits between tries, and after so many a day, with no line in the ledger for asking', function (): void {
    $fail = function (): void {
        $id = ($this->start)()->json('id');
        $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk()->assertJsonPath('result.passed', false);
    };
    $refused = fn (string $words) => $this->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])
        ->assertConflict()
        ->assertJsonPath('code', 'check_wait')
        ->assertJsonPath('message', fn (string $said) => str_contains($said, $words));
    $fail();
    $refused('10 minutes');
    $this->travel(10)->minutes();
    $fail();
    $this->travel(10)->minutes();
    $fail();
    $this->travel(10)->minutes();
    $refused('24 hours');
    expect(LedgerEntry::query()->where('type', 'check_attempted')->count())->toBe(3);
    $this->travel(24)->hours();
    ($this->start)();
});

it('keeps a wait of days, too', function (): void {
    $settings = [...Policy::settingsInForce(), 'check_wait_minutes' => 3 * 1440];
    Policy::query()->create(['settings' => $settings, 'in_force_from' => now()->subMinute()]);
    $id = ($this->start)()->json('id');
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk();
    $this->travel(50)->hours();
    $this->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => fake_uuid()])->assertConflict();
    $this->travel(23)->hours();
    ($this->start)();
});

it('answers the wrong choice that was made, also on a paper that failed, in the reader\'s language', function (): void {
    $this->withHeader('Accept-Language', 'es');
    $id = ($this->start)()->json('id');
    $attempt = CheckAttempt::query()->findOrFail($id);
    $answers = [...rightOnes($attempt), 'held-by-hand' => ['glove']];
    $line = collect($this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk()->json('result.lines'))
        ->firstWhere('id', 'held-by-hand');
    expect($line['replies'])->toBe(['El guante se engancha y arrastra la mano.'])->and($line['right_answer'])->toBeNull();
});

it('fails on hazards that were not seen, and says what they were once it is passed', function (): void {
    $id = ($this->start)()->json('id');
    $attempt = CheckAttempt::query()->findOrFail($id);
    $answers = [...rightOnes($attempt), 'hazards-person' => ['oil']];
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk()
        ->assertJsonPath('result.critical_wrong', true);
    $this->travel(11)->minutes();
    $again = ($this->start)()->json('id');
    $passed = $this->postJson("/api/learning/attempts/$again/answers", ['answers' => rightOnes(CheckAttempt::query()->findOrFail($again))]);
    $line = collect($passed->json('result.lines'))->firstWhere('id', 'hazards-person');
    expect($line['right_answer']['code'])->toBe('learning.hazards')
        ->and($line['right_answer']['terms']['sentences'][0]['code'])->toStartWith('setup.finding.');
});

it('asks others on a retake, as far as there are others', function (): void {
    $kept = [];
    foreach (range(1, 3) as $round) {
        $id = ($this->start)()->json('id');
        $kept[] = CheckAttempt::query()->findOrFail($id)->paper()->changing();
        $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk();
        $this->travel(25)->hours();
    }
    expect($kept[0])->not->toEqualCanonicalizing($kept[1])->and($kept[1])->not->toEqualCanonicalizing($kept[2]);
});

it('does not pass a paper that comes after its time, and says so', function (): void {
    App\Learning\Check::current('SC-through-holes')->update(['minutes' => 20]);
    $paper = ($this->start)();
    $id = $paper->json('id');
    expect($paper->json('ends_at'))->not->toBeNull()->and($paper->json('check.minutes'))->toBe(20);
    $answers = rightOnes(CheckAttempt::query()->findOrFail($id));
    $this->travel(20 * 60 + 61)->seconds();
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk()
        ->assertJsonPath('result.late', true)->assertJsonPath('result.passed', false)->assertJsonPath('result.critical_wrong', false);
});

it('still shows a paper of an earlier version as it was drawn', function (): void {
    $question = fn (string $id, bool $critical): array => ['id' => $id, 'kind' => 'one', 'lesson' => 'C1', 'critical' => $critical,
        'text' => $id, 'explanation' => 'so', 'options' => [['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'b', 'text' => 'B']]];
    $old = App\Learning\Check::query()->create(['code' => 'SC-old', 'version' => 1, 'title' => 'Old', 'pass_mark_percent' => 50,
        'draw' => ['one' => 2],
        'questions' => [$question('k', true), $question('x', false), $question('y', false), $question('z', false)]]);
    $attempt = CheckAttempt::query()->create(['id' => fake_uuid(), 'check_id' => $old->id, 'learner_id' => $this->learner->id, 'seed' => 77,
        'started_at' => now(), 'submitted_at' => now(), 'answers' => ['k' => ['a']],
        // As it was kept before replies and values were.
        'result' => ['passed' => false, 'score_percent' => 33.3, 'pass_mark_percent' => 50, 'critical_wrong' => false, 'lines' => [
            ['id' => 'k', 'right' => true, 'critical' => true, 'lesson' => 'C1', 'right_answer' => 'A', 'explanation' => 'so']]]]);
    $shown = $this->getJson("/api/learning/attempts/{$attempt->id}")->assertOk();
    expect($shown->json('result.lines.0.replies'))->toBe([])->and($shown->json('result.late'))->toBeFalse()
        // What this seed drew before the questions had classes of their own.
        ->and(array_map(fn ($one): array => array_column($one['choices'], 'id'), $shown->json('questions')))
        ->toBe([['a', 'b'], ['b', 'a'], ['a', 'b']])
        ->and(array_column($shown->json('questions'), 'id'))->toBe(['k', 'y', 'z']);
});
