<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

/** A question as it stands on one paper. */
final readonly class DrawnQuestion
{
    /**
     * @param  list<array{id: string, text: string}>  $choices  as shown
     * @param  list<string>  $right
     */
    public function __construct(
        public string $id,
        public QuestionKind $kind,
        public string $lesson,
        public bool $critical,
        public string $text,
        public string $explanation,
        public array $choices,
        public array $right,
        public ?DrawnFigure $figure,
    ) {
    }

    /**
     * @param  list<string>  $answer  the chosen option, the steps in the order given, or the figure as typed
     * @param  'mm'|'in'  $units  of a figure that names none
     */
    public function isRight(array $answer, string $units = 'mm'): bool
    {
        return $this->figure === null ? $answer === $this->right : $this->figure->accepts($answer[0] ?? '', $units);
    }

    /**
     * The question without its answer.
     *
     * @return array<string, mixed>
     */
    public function forLearner(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'text' => $this->text,
            'choices' => $this->choices,
            'unit' => $this->figure?->unit,
            'critical' => $this->critical,
        ];
    }

    /** The right answer in words. */
    public function rightAnswer(): string
    {
        if ($this->figure !== null) {
            return $this->figure->fill('{answer} '.$this->figure->unit);
        }
        $texts = array_column($this->choices, 'text', 'id');

        return implode(' → ', array_map(static fn (string $id): string => $texts[$id], $this->right));
    }
}
