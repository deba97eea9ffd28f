<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A practical sheet was concluded; the latest counts. */
final readonly class AssessmentConcluded implements Entry
{
    private function __construct(public string $assessment, public Outcome $outcome)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            Outcome::from($fields->choice('outcome', array_column(Outcome::cases(), 'value'))),
        );
    }

    public function restricts(): bool
    {
        return $this->outcome !== Outcome::Passed;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->assessments[$this->assessment] = $this->outcome->value;
    }
}
