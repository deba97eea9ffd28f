<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/**
 * A wrong key is taken back within ten seconds, without a word. After that a mark is changed only by saying why. The server's clock
 * decides; the tablet's has to agree, so that what was kept without a network and sent together later is not a slip of one second.
 */
final class Slip
{
    public const SECONDS = 10;

    /** For so long a screen offers it: the last press still has to arrive. */
    public const OFFERED_SECONDS = 8;

    /** Both by one clock; what was made before cannot take back what came after, but for a clock that is read to the second. */
    public static function mayBe(\DateTimeImmutable $madeAt, \DateTimeImmutable $now): bool
    {
        $seconds = (float) $now->format('U.u') - (float) $madeAt->format('U.u');

        return $seconds > -1 && $seconds <= self::SECONDS;
    }

    /**
     * @param  array{made: \DateTimeImmutable, recorded: \DateTimeImmutable}  $mark  by the tablet's clock, and by the server's
     * @param  array{made: \DateTimeImmutable, recorded: \DateTimeImmutable}  $takenBack
     */
    public static function between(array $mark, array $takenBack): bool
    {
        return self::mayBe($mark['recorded'], $takenBack['recorded']) && self::mayBe($mark['made'], $takenBack['made']);
    }
}
