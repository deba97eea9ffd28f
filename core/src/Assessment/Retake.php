<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/**
 * When a sheet may be tried again that was not passed: after the policy's wait, and after as many exercises as it asks for, so
 * that there is practice between two tries. A sheet that was passed may be repeated at any time.
 */
final readonly class Retake
{
    public function __construct(private int $waitHours, private int $exercises)
    {
    }

    /** When the wait is over; null where there is none left. */
    public function waitsUntil(?Outcome $last, \DateTimeImmutable $endedAt, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        $until = $endedAt->add(new \DateInterval("PT{$this->waitHours}H"));

        return self::failed($last) && $until > $now ? $until : null;
    }

    /** How many confirmed exercises are missing since then. */
    public function exercisesMissing(?Outcome $last, int $doneSince): int
    {
        return self::failed($last) ? max(0, $this->exercises - $doneSince) : 0;
    }

    private static function failed(?Outcome $last): bool
    {
        return $last === Outcome::Stopped || $last === Outcome::NotYet;
    }
}
