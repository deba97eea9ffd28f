<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/**
 * What one line of the ledger says happened. A kind of entry is one class in Entry/, listed in Entries; it reads
 * its own payload and folds itself into what the ledger says so far.
 */
interface Entry
{
    /** Which parts of a payload are somebody's own words: they stand beside the ledger's line, never in what its hash is over. */
    public const TEXTS = [];

    /** Whether somebody puts their own name to it: then both names, as they were, stand beside the line, too. */
    public const SIGNED = false;

    /** @throws InvalidInput when the payload lacks what this kind needs */
    public static function fromFields(Fields $fields): static;

    /** Takes something away. Such an entry counts at once, also where a fast clock dated it into the future. */
    public function restricts(): bool;

    public function foldInto(Fold $fold, Line $line): void;
}
