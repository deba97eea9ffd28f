<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

/** An entry that is on record and gives or takes nothing: what it says is read by people. */
trait ChangesNoStage
{
    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
    }
}
