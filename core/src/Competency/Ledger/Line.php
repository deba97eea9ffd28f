<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

/** One line of the ledger: its id, when it happened, what happened. Lines stand in the ledger's own sequence. */
final readonly class Line
{
    public function __construct(public string $id, public \DateTimeImmutable $at, public Entry $entry)
    {
    }
}
