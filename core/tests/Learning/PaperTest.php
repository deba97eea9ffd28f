<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Learning\Check\Paper;
use MillStep\Core\Learning\Check\QuestionBank;

function bank(): QuestionBank
{
    $one = static fn (string $id, bool $critical): array => ['id' => $id, 'kind' => 'one', 'lesson' => 'C1', 'critical' => $critical,
        'text' => "$id?", 'explanation' => 'because',
        'options' => [['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'b', 'text' => 'B'], ['id' => 'c', 'text' => 'C']]];

    return QuestionBank::fromFields(Fields::of([
        'pass_mark_percent' => 75,
        'draw' => ['one' => 1, 'order' => 1, 'worked' => 1],
        'questions' => [
            $one('k1', true), $one('k2', true), $one('n1', false), $one('n2', false),
            [
                'id' => 'o1',
                'kind' => 'order',
                'lesson' => 'C6',
                'text' => 'order',
                'explanation' => 'so',
                'steps' => [['id' => 'x', 'text' => 'X'], ['id' => 'y', 'text' => 'Y'], ['id' => 'z', 'text' => 'Z']],
            ],
            ['id' => 'w1', 'kind' => 'worked', 'lesson' => 'C3', 'text' => 'A {diameter_mm} mm drill?', 'explanation' => '{answer}',
                'figure' => [
                    'operation' => 'drill_point', 'given' => ['point_angle_deg' => 90],
                    'draw' => ['diameter_mm' => [4, 6, 8, 10, 12, 14]], 'answer' => 'point_length_mm', 'unit' => 'mm',
                    'tolerance' => 0.1]],
        ],
    ]));
}

/** @return array<string, list<string>> */
function rightAnswers(Paper $paper): array
{
    $answers = [];
    foreach ($paper->questions as $question) {
        $answers[$question->id] = $question->rightAnswer();
    }

    return $answers;
}

it('draws the same paper from the same seed, and others from others', function (): void {
    $papers = array_map(static fn (int $seed): string => serialize(bank()->draw($seed)), range(1, 30));
    expect(serialize(bank()->draw(7)))->toBe($papers[6])->and(count(array_unique($papers)))->toBeGreaterThan(10);
});

it('never lays the steps out in their right order, nor gives an answer away', function (): void {
    foreach (range(1, 200) as $seed) {
        foreach (bank()->draw($seed)->questions as $question) {
            if ($question->kind === 'order') {
                expect(array_column($question->forLearner()['choices'], 'id'))->not->toBe($question->rightAnswer());
            }
            expect(json_encode($question->forLearner()))->not->toContain('right')->not->toContain('because');
        }
    }
});

it('asks every critical question every time', function (): void {
    foreach (range(1, 200) as $seed) {
        $critical = array_filter(bank()->draw($seed)->questions, static fn ($question): bool => $question->critical);
        expect(array_column($critical, 'id'))->toHaveCount(2)->toContain('k1', 'k2');
    }
});

it('takes a bare figure in the units in which the learner reads', function (): void {
    $question = bank()->draw(3)->questions[4];
    $answer = $question->key->answer;
    $inches = number_format($answer / 25.4, 4);
    expect($question->isRight([$inches], 'in'))->toBeTrue()->and($question->isRight([$inches], 'mm'))->toBeFalse()
        ->and($question->isRight([$answer.' mm'], 'in'))->toBeTrue()
        ->and($question->isRight([(string) $answer], 'in'))->toBeFalse();
});

it('passes all right, fails a wrong critical whatever the score', function (): void {
    foreach (range(1, 20) as $seed) {
        $paper = bank()->draw($seed);
        $answers = rightAnswers($paper);
        expect($paper->mark($answers))->passed->toBeTrue()->scorePercent->toBe(100.0);
        $critical = $paper->questions[0];
        $result = $paper->mark([...$answers, $critical->id => ['b']]);
        expect($result->passed)->toBeFalse()->and($result->criticalWrong)->toBeTrue()->and($result->scorePercent)->toBe(80.0);
        expect($paper->mark([])->scorePercent)->toBe(0.0);
    }
});

it('takes a figure in any unit, within its tolerance and no further', function (): void {
    $question = bank()->draw(3)->questions[4];
    $answer = $question->key->answer;
    expect($question->isRight([(string) $answer]))->toBeTrue()
        ->and($question->isRight([number_format($answer / 25.4, 4).' in']))->toBeTrue()
        ->and($question->isRight([(string) ($answer + 0.1)]))->toBeTrue()
        ->and($question->isRight([(string) ($answer + 0.11)]))->toBeFalse()
        ->and($question->isRight(['a lot']))->toBeFalse()
        ->and($question->isRight([]))->toBeFalse();
});

it('refuses a bank that cannot be drawn from', function (): void {
    expect(fn () => QuestionBank::fromFields(Fields::of(['pass_mark_percent' => 80, 'draw' => ['one' => 3], 'questions' => [
        [
            'id' => 'a',
            'kind' => 'one',
            'lesson' => 'C1',
            'text' => '?',
            'explanation' => '!',
            'options' => [['id' => 'a', 'text' => 'A', 'right' => true], ['id' => 'b', 'text' => 'B']],
        ],
    ]]))->draw(1))->toThrow(MillStep\Core\Border\InvalidInput::class, 'learning.too_few_questions');
});
