<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** A signature taken back, and when a new one ended that. */
final readonly class Revocation
{
    public function __construct(public \DateTimeImmutable $at, public ?\DateTimeImmutable $endedAt = null)
    {
    }

    public function stoodAt(\DateTimeImmutable $instant): bool
    {
        return $this->at <= $instant && ($this->endedAt === null || $this->endedAt > $instant);
    }
}
