<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

/** A rule needed to know something that the setup does not say. Never leaves the review. */
final class UnknownFact extends \RuntimeException
{
    private function __construct(public readonly string $fact)
    {
        parent::__construct($fact);
    }

    public static function named(string $fact): self
    {
        return new self($fact);
    }
}
