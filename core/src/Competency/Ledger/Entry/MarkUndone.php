<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** A mark was taken back within the seconds of a slip. */
final readonly class MarkUndone implements Entry
{
    use ChangesNoStage;

    private function __construct(public string $assessment, public string $attempt, public string $criterion)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('assessment'), $fields->text('attempt'), $fields->text('criterion'));
    }
}
