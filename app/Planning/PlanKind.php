<?php

declare(strict_types=1);

namespace App\Planning;

use App\Planning\Wanted\HoleWanted;
use App\Planning\Wanted\LatheWanted;
use App\Planning\Wanted\LayoutWanted;
use App\Planning\Wanted\Wanted;

enum PlanKind: string
{
    case Hole = 'hole';
    case Layout = 'layout';
    case Lathe = 'lathe';

    /** @return class-string<Wanted> */
    public function wanted(): string
    {
        return match ($this) {
            self::Hole => HoleWanted::class,
            self::Layout => LayoutWanted::class,
            self::Lathe => LatheWanted::class,
        };
    }
}
