<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** How long a learner may appeal against an outcome: while the part is still there to be looked at. Bench judgement. */
final readonly class Appeal
{
    public const DAYS = 14;

    public static function isInTime(\DateTimeImmutable $concluded, \DateTimeImmutable $now): bool
    {
        return $now <= $concluded->add(new \DateInterval('P'.self::DAYS.'D'));
    }
}
