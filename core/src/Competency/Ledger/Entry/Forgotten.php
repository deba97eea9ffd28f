<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** Somebody was forgotten: their key is gone, and with it what others wrote about them. What they did stays. It gives no stage. */
final readonly class Forgotten implements Entry
{
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
    }
}
