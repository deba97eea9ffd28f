<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Learning\Check\Question\DrawnQuestion;

/** The questions of one attempt, as its seed drew them. */
final readonly class Paper
{
    /** @param  list<DrawnQuestion>  $questions */
    public function __construct(public array $questions, public float $passMarkPercent)
    {
    }

    /** @return list<array<string, float>> the drawn values, to tell whether a retake has other figures */
    public function figures(): array
    {
        return array_values(array_filter(
            array_map(static fn (DrawnQuestion $question): array => $question->values(), $this->questions),
        ));
    }

    /** @return list<string> ids of what is not asked every time */
    public function changing(): array
    {
        return array_values(array_map(
            static fn (DrawnQuestion $one): string => $one->id,
            array_filter($this->questions, static fn (DrawnQuestion $one): bool => ! $one->critical),
        ));
    }

    /**
     * A wrong critical answer fails the check whatever the score; so does a paper that came after its time.
     *
     * @param  array<string, list<string>>  $answers  by question
     * @param  'mm'|'in'  $units  of figures that name none
     */
    public function mark(array $answers, string $units = 'mm', bool $late = false): PaperResult
    {
        $lines = [];
        $right = 0;
        $criticalWrong = false;
        foreach ($this->questions as $question) {
            $line = PaperLine::of($question, $answers[$question->id] ?? [], $units);
            $right += $line->right ? 1 : 0;
            $criticalWrong = $criticalWrong || ($question->critical && ! $line->right);
            $lines[] = $line;
        }
        $score = round(100 * $right / count($this->questions), 1);

        return new PaperResult(
            ! $late && ! $criticalWrong && $score >= $this->passMarkPercent,
            $score,
            $this->passMarkPercent,
            $criticalWrong,
            $late,
            $lines,
        );
    }
}
