<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A turn at a machine. Minutes that nobody has confirmed (an abandoned turn) do not refresh recency. */
final readonly class MachineTime implements Entry
{
    private function __construct(public int $minutes, public bool $confirmed)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->integer('minutes', 0), $fields->flag('confirmed', true));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->machineMinutes += $this->minutes;
        if ($this->confirmed) {
            $fold->atMachine($line->at);
        }
    }
}
