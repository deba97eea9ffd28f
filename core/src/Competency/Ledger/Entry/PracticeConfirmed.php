<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** An instructor has confirmed an exercise. */
final readonly class PracticeConfirmed implements Entry
{
    private function __construct(public int $minutes)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->integer('minutes', 0));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->practiceCount++;
        $fold->practiceMinutes += $this->minutes;
        $fold->atMachine($line->at);
    }
}
