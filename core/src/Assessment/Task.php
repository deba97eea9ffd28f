<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\Reading;

/** What a learner works out from their own dimensions before they begin; an operation of the core has the key. */
final readonly class Task
{
    private function __construct(
        public string $id,
        private PlanFigure $figure,
        public string $unit,
        private float $tolerance,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->text('id'),
            PlanFigure::fromFields($fields),
            $fields->choice('unit', ['mm', 'number']),
            $fields->notNegative('tolerance', 0),
        );
    }

    /**
     * @param  array<string, Length>  $personal
     *
     * @throws CoreException when the dimensions make no sense to the operation
     */
    public function key(array $personal): float
    {
        return $this->figure->of($personal);
    }

    /**
     * @param  array<string, Length>  $personal
     * @param  'mm'|'in'  $units  of a length that names none
     *
     * @throws CoreException when what was typed is no figure
     */
    public function isRight(string $typed, array $personal, string $units): bool
    {
        $value = match (true) {
            $this->unit === 'mm' => Reading::parse($typed, $units)->inMm(),
            preg_match('/^\s*\d{1,7}(?:[.,]\d{1,6})?\s*$/', $typed) === 1 => (float) str_replace(',', '.', trim($typed)),
            default => throw InvalidInput::at($this->id, 'assessment.task_number'),
        };

        return abs($value - $this->key($personal)) <= $this->tolerance + 1e-9;
    }
}
