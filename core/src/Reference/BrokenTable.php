<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

/** A reference table that does not hold what it promises. Names file, line and column. */
final class BrokenTable extends \LogicException
{
    public static function missing(string $file): self
    {
        return new self("The reference table $file is missing.");
    }

    public static function at(string $file, int $line, string $column, string $complaint): self
    {
        return new self("$file, line $line, column $column: $complaint.");
    }
}
