<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/**
 * The questions of one safety check and how many of each kind make a paper. Every critical question is on every
 * paper; the rest is drawn. The same seed always draws the same paper, to the letter.
 */
final readonly class QuestionBank
{
    /**
     * @param  list<Question>  $questions
     * @param  array<string, int>  $draw  each kind => how many of those that are not critical
     */
    private function __construct(private array $questions, private array $draw, private float $passMarkPercent)
    {
    }

    /** @throws InvalidInput naming the question that is at fault */
    public static function fromFields(Fields $fields): self
    {
        $draw = $fields->object('draw');
        $wanted = [];
        foreach (['one', 'order', 'worked'] as $pile) {
            $wanted[$pile] = $draw->integer($pile, 0, 100, 0);
        }

        return new self(
            array_map(Question::fromFields(...), $fields->objects('questions', 1)),
            $wanted,
            $fields->notNegative('pass_mark_percent'),
        );
    }

    /** @throws InvalidInput when the bank has too few questions of a kind */
    public function draw(int $seed): Paper
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $drawn = array_map(
            static fn (Question $question): DrawnQuestion => $question->draw($random),
            $random->shuffleArray(array_values(array_filter(
                $this->questions,
                static fn (Question $question): bool => $question->critical,
            ))),
        );
        foreach ($this->draw as $pile => $count) {
            $candidates = array_values(array_filter(
                $this->questions,
                static fn (Question $question): bool => ! $question->critical && $question->kind->value === $pile,
            ));
            if (count($candidates) < $count) {
                throw InvalidInput::at(
                    'questions',
                    'learning.too_few_questions',
                    ['pile' => $pile, 'wanted' => $count, 'found' => count($candidates)],
                );
            }
            foreach (array_slice($random->shuffleArray($candidates), 0, $count) as $question) {
                $drawn[] = $question->draw($random);
            }
        }

        return new Paper($drawn, $this->passMarkPercent);
    }
}
