<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Operations;
use Random\Randomizer;

/** A figure that the learner works out: an operation of the core, some of its values drawn. */
final readonly class WorkedFigure implements Asked
{
    /**
     * @param  array<array-key, mixed>  $given  values that never change
     * @param  array<string, non-empty-list<float>>  $drawn  values to draw from
     */
    private function __construct(
        private string $operation,
        private array $given,
        private array $drawn,
        private string $answer,
        private string $unit,
        private float $tolerance,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $draws = $fields->object('draw');
        $keys = $draws->keys();
        // A seed draws the same whatever order the values were written in; shortest first, as papers have been drawn so far.
        usort($keys, static fn (string $one, string $other): int => [strlen($one), $one] <=> [strlen($other), $other]);

        return new self(
            $fields->choice('operation', array_keys(Operations::LIST)),
            $fields->objectOrEmpty('given')->toArray(),
            array_combine($keys, array_map(static fn (string $key): array => $draws->positives($key), $keys)),
            $fields->text('answer'),
            $fields->choice('unit', DrawnFigure::units()),
            $fields->notNegative('tolerance', 0),
        );
    }

    /** @throws \MillStep\Core\Border\CoreException when the bank's values make no sense to the operation */
    public function draw(Randomizer $random): DrawnFigure
    {
        $values = [];
        foreach ($this->drawn as $key => $candidates) {
            $values[$key] = $candidates[$random->getInt(0, count($candidates) - 1)];
        }
        $result = Operations::compute($this->operation, [...$this->given, ...$values])->toArray();
        $answer = $result[$this->answer] ?? null;
        if (! is_int($answer) && ! is_float($answer)) {
            throw InvalidInput::at('answer', 'learning.no_worked_figure', ['operation' => $this->operation, 'answer' => $this->answer]);
        }

        return new DrawnFigure($values, (float) $answer, $this->unit, $this->tolerance);
    }
}
