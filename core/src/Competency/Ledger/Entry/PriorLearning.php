<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** What was learned elsewhere, with its evidence. It gives no stage by itself. */
final readonly class PriorLearning implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['evidence'];

    public const SIGNED = true;

    private function __construct()
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self();
    }
}
