<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/**
 * The words in a line of the first form were taken out when the one they are about was forgotten: which line, a keyed hash of what
 * it said, and the hash of it as it is left. It gives no stage.
 */
final readonly class Blanked implements Entry
{
    use ChangesNoStage;

    private function __construct(public int $seq, public string $hashOfText, public string $left)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->integer('seq', -1_000_000, 9_000_000_000_000_000), $fields->text('hash_of_text'), $fields->text('left'));
    }
}
