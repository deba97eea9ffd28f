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
        return (float) $now->format('U.u') - (float) $madeAt->format('U.u') <= self::SECONDS;
    }
}
