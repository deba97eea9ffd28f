<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

/** What of a machine somebody who knows another one of its kind must be shown before they run it. */
enum MachineTrait: string
{
    case SpeedChange = 'speed_change';
    case Stop = 'stop';
    case Isolator = 'isolator';
    case Brake = 'brake';
    case Locks = 'locks';
    case Scale = 'scale';

    /** In the shop's own words, which may be put better. */
    public function isSaidInWords(): bool
    {
        return $this !== self::SpeedChange && $this !== self::Scale;
    }

    /** Where a hand must find it without looking: shown also where nobody has written it down, and where two records say the same. */
    public function isFoundBlind(): bool
    {
        return $this === self::Stop || $this === self::Isolator;
    }
}
