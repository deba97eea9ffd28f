<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;
use MillStep\Core\Learning\Check\Question\DrawnFigure;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

/** What came of one question. Placeholders in its texts stand for the drawn values and the answer. */
final readonly class PaperLine extends Result
{
    /**
     * @param  string|Message  $rightAnswer  in words
     * @param  list<string>  $replies  what is said to each wrong choice
     * @param  array<string, float>  $values
     * @param  float|null  $answer  of a figure, in its unit
     */
    private function __construct(
        public string $id,
        public bool $right,
        public bool $critical,
        public string $lesson,
        public string|Message $rightAnswer,
        public string $explanation,
        public array $replies,
        public array $values,
        public ?float $answer,
    ) {
    }

    /**
     * @param  list<string>  $answer
     * @param  'mm'|'in'  $units  of a figure that names none
     */
    public static function of(DrawnQuestion $question, array $answer, string $units): self
    {
        $key = $question->key;
        $right = $question->isRight($answer, $units);

        return new self(
            $question->id,
            $right,
            $question->critical,
            $question->lesson,
            $key->inWords(),
            $question->explanation,
            $right ? [] : $key->replies($answer),
            $question->values(),
            $key instanceof DrawnFigure ? $key->answer : null,
        );
    }

    public function toArray(): array
    {
        return [...parent::toArray(), 'values' => (object) $this->values];
    }
}
