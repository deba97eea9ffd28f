<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** What was learned elsewhere, with its evidence. It gives no stage by itself. */
final readonly class PriorLearning implements Entry
{
    public const TEXTS = ['evidence'];

    public const SIGNED = true;

    private function __construct()
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self();
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        // On record only: the practical assessment here is still needed.
    }
}
