<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** How an assessor's share of "met" lies to the shop's: said only where it is off by more than five of a hundred. */
enum Leaning: string
{
    case Strict = 'strict';
    case Lenient = 'lenient';
    case Alike = 'alike';

    private const OFF_PERCENT = 5.0;

    public static function of(float $percent, float $shopPercent): self
    {
        return match (true) {
            $percent - $shopPercent > self::OFF_PERCENT => self::Lenient,
            $shopPercent - $percent > self::OFF_PERCENT => self::Strict,
            default => self::Alike,
        };
    }
}
