<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A job was rehearsed without power, to its end. */
final readonly class RehearsalPassed implements Entry
{
    private function __construct(public string $rehearsal)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('rehearsal'));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->rehearsals[$this->rehearsal] = true;
    }
}
