<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** The signature is taken back; only a new one ends it. */
final readonly class Revoked implements Entry
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
        return true;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->revokedAt($line->at);
    }
}
