<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** Somebody assesses and signs for a permit no longer. */
final readonly class AuthorisationEnded implements Entry
{
    use ChangesNoStage;

    private function __construct()
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self;
    }
}
