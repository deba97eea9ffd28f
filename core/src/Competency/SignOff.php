<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** The part of a sign-off that decides whether it still carries. */
final readonly class SignOff
{
    public function __construct(public int $statementVersion, public \DateTimeImmutable $validUntil)
    {
    }
}
