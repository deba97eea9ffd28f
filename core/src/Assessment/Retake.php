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
    public function waitsUntil(TryEnded $last, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        $until = $last->at->add(new \DateInterval("PT{$this->waitHours}H"));

        return $last->failed() && $until > $now ? $until : null;
    }

    /** How many confirmed exercises are missing since then. */
    public function exercisesMissing(TryEnded $last, int $doneSince): int
    {
        return $last->failed() ? max(0, $this->exercises - $doneSince) : 0;
    }
}
