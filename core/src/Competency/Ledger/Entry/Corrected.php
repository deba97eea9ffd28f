<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** Another line no longer counts: named by its id, or by its place from 0 where lines carry none. */
final readonly class Corrected implements Entry
{
    public const TEXTS = ['reason'];

    public const SIGNED = true;

    private function __construct(public string $entry)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $named = $fields->toArray()['entry'] ?? null;

        return new self(is_string($named) ? $named : (string) $fields->integer('entry', 0));
    }

    /** Whether it takes away depends on what it corrects, which the Ledger knows. */
    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        // Its work is done before the fold: what it names is not among the lines any more.
    }
}
