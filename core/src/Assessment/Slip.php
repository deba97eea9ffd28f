<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** A wrong key is taken back within ten seconds, without a word. After that a mark is changed only by saying why. */
final class Slip
{
    public const SECONDS = 10;

    /** Whether what was marked then may still be a slip of the finger; both by the clock of one tablet. */
    public static function mayBe(\DateTimeImmutable $madeAt, \DateTimeImmutable $now): bool
    {
        $seconds = (float) $now->format('U.u') - (float) $madeAt->format('U.u');

        // What was made before cannot take back what came after, but for a clock that is read to the second.
        return $seconds > -1 && $seconds <= self::SECONDS;
    }
}
