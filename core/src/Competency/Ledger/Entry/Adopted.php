<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** The lines from before there was a seal, taken over as they stood: how many, and the hash of the last. It gives no stage. */
final readonly class Adopted implements Entry
{
    use ChangesNoStage;

    private function __construct(public int $count, public string $hash)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->integer('count', 1), $fields->text('hash'));
    }
}
