<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** Somebody knows one more machine: an instructor has shown it, or they used it before this was asked. */
final readonly class Familiarised implements Entry
{
    /** @param  value-of<Familiarity::BECAUSE>  $because */
    private function __construct(public string $machine, public string $because)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('machine'), $fields->choice('because', Familiarity::BECAUSE));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->knows($this->machine, new Familiarity($line->at, $this->because));
    }
}
