<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Length;

/** Two readers of one size who lie over 0.05 mm apart both measure again, and nobody takes the mean of them (lesson E3). */
final class TwoReaders
{
    private const AT_MOST_APART_MM = 0.05;

    public static function areTooFarApart(Length $difference): bool
    {
        return $difference->absolute()->isGreaterThan(Length::mm(self::AT_MOST_APART_MM));
    }
}
