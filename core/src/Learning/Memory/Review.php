<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Memory;

/** Once that something was asked, and whether it was known. */
final readonly class Review
{
    public function __construct(public \DateTimeImmutable $at, public bool $right)
    {
    }
}
