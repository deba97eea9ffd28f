<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** How a try at a sheet ended: with an outcome, or put away with marks on it. */
final readonly class TryEnded
{
    private function __construct(public \DateTimeImmutable $at, private bool $failed)
    {
    }

    public static function concluded(Outcome $outcome, \DateTimeImmutable $at): self
    {
        return new self($at, $outcome === Outcome::Stopped || $outcome === Outcome::NotYet);
    }

    /** With marks on it: nobody begins anew at once because it goes badly. */
    public static function putAway(\DateTimeImmutable $at): self
    {
        return new self($at, true);
    }

    /** Another assessor found that it may be tried again at once. */
    public function forgiven(): self
    {
        return new self($this->at, false);
    }

    public function failed(): bool
    {
        return $this->failed;
    }
}
