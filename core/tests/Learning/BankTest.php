<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Learning\Check\Paper;
use MillStep\Core\Learning\Check\QuestionBank;

/** @param  array<string, mixed>  $more */
function asking(string $id, string $lesson, array $more = []): array
{
    return ['id' => $id, 'kind' => 'one', 'lesson' => $lesson, 'text' => "$id?", 'explanation' => 'because', 'options' => [
        ['id' => 'a', 'text' => 'A', 'right' => true], [
            'id' => 'b',
            'text' => 'B',
            'reply' => "not B of $id",
        ], ['id' => 'c', 'text' => 'C'],
    ], ...$more];
}

/** Two critical of one lesson, four lessons with three more each, and one of every other kind. */
function broad(int $total = 10, array $least = ['worked' => 1, 'hazard' => 1, 'several' => 1]): QuestionBank
{
    $questions = [asking('k1', 'L1', ['critical' => true]), asking('k2', 'L1', ['critical' => true])];
    foreach (['L1', 'L2', 'L3', 'L4'] as $lesson) {
        foreach (range(1, 3) as $n) {
            $questions[] = asking("$lesson-$n", $lesson);
        }
    }
    $questions[] = ['id' => 's', 'kind' => 'several', 'lesson' => 'L2', 'text' => 's?', 'explanation' => 'so', 'options' => [
        ['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'b', 'text' => 'B', 'right' => true],
        ['id' => 'c', 'text' => 'C', 'reply' => 'not C'], ['id' => 'd', 'text' => 'D', 'reply' => 'not D']]];
    $questions[] = ['id' => 'h', 'kind' => 'hazard', 'lesson' => 'L3', 'text' => 'h?', 'explanation' => 'so', 'scene' => 'press',
        'faults' => ['least' => 1, 'most' => 3, 'of' => ['chuck_key_left', 'guard_open', 'eye_protection_missing', 'loose_items']]];
    $questions[] = ['id' => 'w', 'kind' => 'worked', 'lesson' => 'L4', 'text' => '{diameter_mm}', 'explanation' => '{answer}', 'figure' => [
        'operation' => 'drill_point', 'given' => ['point_angle_deg' => 118], 'draw' => ['diameter_mm' => [5, 6, 7]],
        'answer' => 'point_length_mm', 'unit' => 'mm', 'tolerance' => 0.1]];

    return QuestionBank::fromFields(Fields::of([
        'pass_mark_percent' => 80, 'paper' => ['questions' => $total, 'least' => $least], 'questions' => $questions,
    ]));
}

it('asks every critical question, about every lesson, of every kind that is wanted, none twice, as many as it says', function (): void {
    foreach (range(1, 1000) as $seed) {
        $paper = broad()->draw($seed);
        $ids = array_column($paper->questions, 'id');
        expect($ids)->toHaveCount(10)->toContain('k1', 'k2', 's', 'h', 'w')->and(array_unique($ids))->toHaveCount(10)
            ->and(array_unique(array_column($paper->questions, 'lesson')))->toHaveCount(4);
    }
});

it('spreads what is left over the lessons', function (): void {
    foreach (range(1, 200) as $seed) {
        $asked = array_count_values(array_column(broad(12)->draw($seed)->questions, 'lesson'));
        expect(max($asked) - min($asked))->toBeLessThanOrEqual(1);
    }
});

it('draws every question at some time, and the critical ones not always first', function (): void {
    $papers = array_map(static fn (int $seed): Paper => broad()->draw($seed), range(1, 300));
    $ids = array_unique(array_merge(...array_map(static fn (Paper $paper): array => array_column($paper->questions, 'id'), $papers)));
    $first = array_map(static fn (Paper $paper): string => $paper->questions[0]->id, $papers);
    expect($ids)->toHaveCount(17)->and(array_unique($first))->not->toHaveCount(2)->and(count(array_unique($first)))->toBeGreaterThan(8);
});

it('draws the same paper of every kind from the same seed, to the letter', function (): void {
    foreach (range(1, 30) as $seed) {
        $once = json_encode(array_map(static fn ($one): array => $one->forLearner(), broad()->draw($seed)->questions));
        expect(json_encode(array_map(static fn ($one): array => $one->forLearner(), broad()->draw($seed)->questions)))->toBe($once);
    }
});

it('draws the same paper in whatever order a figure\'s values were written: a database keeps none', function (): void {
    $bank = static fn (array $draw): QuestionBank => QuestionBank::fromFields(Fields::of([
        'pass_mark_percent' => 80, 'paper' => ['questions' => 1, 'least' => []], 'questions' => [
            ['id' => 'w', 'kind' => 'worked', 'lesson' => 'L', 'text' => 'w?', 'explanation' => '{answer}', 'figure' => [
                'operation' => 'spindle_speed', 'given' => ['speeds_rpm' => [280, 500, 850, 1400, 2500]], 'draw' => $draw,
                'answer' => 'chosen_rpm', 'unit' => 'rpm', 'tolerance' => 0]],
        ],
    ]));
    $values = ['diameter_mm' => [4, 5, 6, 7, 8, 9, 10], 'cutting_speed_m_min' => [15, 18, 24, 30]];
    foreach (range(1, 40) as $seed) {
        expect(json_encode($bank(array_reverse($values))->draw($seed)->questions[0]->forLearner()))
            ->toBe(json_encode($bank($values)->draw($seed)->questions[0]->forLearner()));
    }
});

it('refuses a paper with no room for what must be on it, and one longer than its bank', function (int $total, string $says): void {
    expect(fn () => broad($total)->draw(1))->toThrow(InvalidInput::class, $says);
})->with([[4, 'learning.paper_too_short'], [40, 'learning.paper_too_long']]);

it('refuses a kind of which there are too few', function (): void {
    expect(fn () => broad(15, ['worked' => 2])->draw(1))->toThrow(InvalidInput::class, 'learning.too_few_questions');
});

it('wants all the right ones of several and no other, in whatever order they are chosen', function (): void {
    $paper = broad()->draw(5);
    $several = array_values(array_filter($paper->questions, static fn ($one): bool => $one->id === 's'))[0];
    expect($several->isRight(['b', 'a']))->toBeTrue()
        ->and($several->isRight(['a']))->toBeFalse()
        ->and($several->isRight(['a', 'b', 'c']))->toBeFalse()
        ->and($several->isRight([]))->toBeFalse();
    $line = array_values(array_filter($paper->mark(['s' => ['a', 'c', 'd']])->lines, static fn ($line): bool => $line->id === 's'))[0];
    expect($line->right)->toBeFalse()->and($line->replies)->toEqualCanonicalizing(['not C', 'not D']);
});

it('answers the wrong choice that was made, and no right one', function (): void {
    $paper = broad()->draw(5);
    $reply = static fn (array $answer): array => array_values(array_filter(
        $paper->mark(['k1' => $answer])->lines,
        static fn ($line): bool => $line->id === 'k1',
    ))[0]->replies;
    expect($reply(['b']))->toBe(['not B of k1'])->and($reply(['a']))->toBe([])->and($reply(['c']))->toBe([])->and($reply([]))->toBe([]);
});

it('wants every place where something is wrong and no other, and gives none of them away', function (): void {
    foreach (range(1, 60) as $seed) {
        $hazard = array_values(array_filter(broad()->draw($seed)->questions, static fn ($one): bool => $one->id === 'h'))[0];
        $wrong = $hazard->rightAnswer();
        $shown = $hazard->forLearner();
        $places = array_column($shown['scene']['places'], 'id');
        expect($wrong)->not->toBe([])->and(array_diff($wrong, $places))->toBe([])
            ->and($hazard->isRight(array_reverse($wrong)))->toBeTrue()
            ->and($hazard->isRight([...$wrong, array_values(array_diff($places, $wrong))[0]]))->toBeFalse()
            ->and($hazard->isRight(array_slice($wrong, 1)))->toBeFalse()
            ->and(json_encode($shown))->not->toContain('finding');
    }
});

it('is a paper of less than 100 kB with twelve questions, a scene among them', function (): void {
    foreach (range(1, 40) as $seed) {
        $shown = json_encode(array_map(static fn ($one): array => $one->forLearner(), broad(12)->draw($seed)->questions));
        expect(strlen((string) $shown))->toBeLessThan(100_000);
    }
});

it('refuses what cannot be asked', function (array $question, string $says): void {
    expect(fn () => QuestionBank::fromFields(Fields::of([
        'pass_mark_percent' => 80, 'paper' => ['questions' => 1], 'questions' => [$question],
    ]))->draw(1))->toThrow(InvalidInput::class, $says);
})->with([
    'no right one' => [
        asking('a', 'L', ['options' => [['id' => 'a', 'text' => 'A'], ['id' => 'b', 'text' => 'B']]]),
        'learning.one_right_answer',
    ],
    'all right' => [asking('a', 'L', ['kind' => 'several', 'options' => [
        ['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'b', 'text' => 'B', 'right' => true]]]), 'learning.several_right_answers'],
    'an option twice' => [asking('a', 'L', ['options' => [
        ['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'a', 'text' => 'B']]]), 'learning.choice_twice'],
    'a fault that no scene has' => [['id' => 'h', 'kind' => 'hazard', 'lesson' => 'L', 'text' => '?', 'explanation' => '!',
        'scene' => 'press', 'faults' => ['of' => ['tailstock_unclamped']]], 'learning.no_such_fault'],
    'more faults than there can be' => [['id' => 'h', 'kind' => 'hazard', 'lesson' => 'L', 'text' => '?', 'explanation' => '!',
        'scene' => 'press', 'faults' => ['least' => 2, 'most' => 2, 'of' => ['guard_open']]], 'learning.too_few_faults'],
    'a scene that there is not' => [['id' => 'h', 'kind' => 'hazard', 'lesson' => 'L', 'text' => '?', 'explanation' => '!',
        'scene' => 'saw', 'faults' => ['of' => ['guard_open']]], 'input.'],
]);

it('takes one question alone from its own seed', function (): void {
    expect(broad()->question('h', 4)->rightAnswer())->toBe(broad()->question('h', 4)->rightAnswer())
        ->and(fn () => broad()->question('nobody', 1))->toThrow(InvalidInput::class, 'learning.no_question');
});
