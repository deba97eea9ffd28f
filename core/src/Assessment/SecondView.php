<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Which sheets want a second pair of eyes: drawn when a sheet is opened, from its recorded seed, so that nobody can choose. */
final readonly class SecondView
{
    /** So long an invited reviewer's link holds. */
    public const LINK_DAYS = 14;

    /** So that the lot does not hang on the same numbers as the learner's own dimensions. */
    private const OTHER = 0x5EC0;

    /**
     * @param  int  $every  of so many sheets one wants it, on average; 0 where the shop asks for none
     */
    public static function isDrawn(int $seed, int $every): bool
    {
        return $every > 0 && (new Randomizer(new Mt19937($seed ^ self::OTHER)))->getInt(1, $every) === 1;
    }
}
