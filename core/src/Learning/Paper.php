<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

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
        return array_values(
            array_filter(
                array_map(static fn (DrawnQuestion $question): ?array => $question->figure?->values, $this->questions),
                is_array(...),
            ),
        );
    }

    /**
     * A wrong critical answer fails the check whatever the score.
     *
     * @param  array<string, list<string>>  $answers  by question
     * @param  'mm'|'in'  $units  of figures that name none
     */
    public function mark(array $answers, string $units = 'mm'): PaperResult
    {
        $lines = [];
        $right = 0;
        $criticalWrong = false;
        foreach ($this->questions as $question) {
            $isRight = $question->isRight($answers[$question->id] ?? [], $units);
            $right += $isRight ? 1 : 0;
            $criticalWrong = $criticalWrong || ($question->critical && ! $isRight);
            $lines[] = new PaperLine(
                $question->id,
                $isRight,
                $question->critical,
                $question->lesson,
                $question->rightAnswer(),
                $question->explanation,
            );
        }
        $score = round(100 * $right / count($this->questions), 1);

        return new PaperResult(
            ! $criticalWrong && $score >= $this->passMarkPercent,
            $score,
            $this->passMarkPercent,
            $criticalWrong,
            $lines,
        );
    }
}
