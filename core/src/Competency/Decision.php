<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

enum Decision: string
{
    case Alone = 'alone';
    case Supervised = 'supervised';
    case No = 'no';

    /** The more is given, the higher. */
    public function rank(): int
    {
        return match ($this) {
            self::Alone => 2,
            self::Supervised => 1,
            self::No => 0,
        };
    }
}
