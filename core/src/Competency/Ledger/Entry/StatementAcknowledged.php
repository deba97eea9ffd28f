<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** The learner has put their own name to a version of the statement. */
final readonly class StatementAcknowledged implements Entry
{
    public const SIGNED = true;

    private function __construct(public int $statementVersion)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->integer('statement_version', 0, default: 0));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->acknowledged = $this->statementVersion;
    }
}
