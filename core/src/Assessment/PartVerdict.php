<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Assessment\Measuring\Found;
use MillStep\Core\Measure\Verdict;

/** What becomes of a part, by what was measured on it. */
enum PartVerdict: string
{
    case Fits = 'fits';
    /** In everywhere as it comes off, with something still to be taken off. */
    case ToFinish = 'to_finish';
    /** Out somewhere, and all of that can still be made good. */
    case CanBeSaved = 'can_be_saved';
    case Rejected = 'rejected';
    /** Something is not measured, or still doubtful. */
    case NotMeasured = 'not_measured';

    /**
     * @param  list<Found|null>  $found  of every measured criterion
     * @param  bool  $stillOn  whether something was measured with stock that is to come off yet
     */
    public static function of(array $found, bool $stillOn = false): self
    {
        $out = array_filter($found, static fn (?Found $one): bool => $one?->verdict === Verdict::Out);
        $lost = array_filter($out, static fn (?Found $one): bool => $one?->savable === false);
        $open = array_filter($found, static fn (?Found $one): bool => $one === null || $one->verdict === Verdict::Doubtful);

        return match (true) {
            $lost !== [] => self::Rejected,
            $open !== [] || $found === [] => self::NotMeasured,
            $out !== [] => self::CanBeSaved,
            $stillOn => self::ToFinish,
            default => self::Fits,
        };
    }
}
