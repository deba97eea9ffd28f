<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

/** A question as it stands on one paper. */
final readonly class DrawnQuestion
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $lesson,
        public bool $critical,
        public string $text,
        public string $explanation,
        public AnswerKey $key,
    ) {
    }

    /**
     * @param  list<string>  $answer  the chosen options or places, the steps in the order given, or the figure as typed
     * @param  'mm'|'in'  $units  of a figure that names none
     */
    public function isRight(array $answer, string $units = 'mm'): bool
    {
        return $this->key->accepts($answer, $units);
    }

    /** @return list<string> an answer that is right, as it would be given */
    public function rightAnswer(): array
    {
        return $this->key->right();
    }

    /** @return array<string, float> values as drawn, empty where nothing is */
    public function values(): array
    {
        return $this->key instanceof DrawnFigure ? $this->key->values : [];
    }

    /** @return array<string, mixed> the question without its answer */
    public function forLearner(): array
    {
        return [
            'choices' => [], 'values' => (object) [], 'unit' => null, 'scene' => null,
            'id' => $this->id, 'kind' => $this->kind, 'text' => $this->text, 'critical' => $this->critical,
            ...$this->key->shown(),
        ];
    }
}
