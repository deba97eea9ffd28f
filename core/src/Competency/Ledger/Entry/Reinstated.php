<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** Lifts every hold before it, but no revocation. */
final readonly class Reinstated implements Entry
{
    public const TEXTS = ['reason'];

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
        $fold->suspended = false;
    }
}
