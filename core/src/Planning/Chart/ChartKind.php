<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Workshop\Material;

/** The wall charts that there are: the only list of them. */
enum ChartKind: string
{
    case Speeds = 'speeds';
    case TapDrills = 'tap_drills';
    case Sizes = 'sizes';
    case Reaming = 'reaming';
    case Seats = 'seats';
    case Chips = 'chips';

    /** @return 'machine'|'material' whose chart it is; every one goes by the cribs beside the machine */
    public function subject(): string
    {
        return $this === self::Chips ? 'material' : 'machine';
    }

    /** @param  non-empty-list<Material>  $materials  that the shop works in, in the order of the wall */
    public function of(Bench $bench, array $materials): Chart
    {
        return match ($this) {
            self::Speeds => SpeedChart::of($bench, $materials),
            self::TapDrills => TapDrillChart::of($bench, $materials),
            self::Sizes => SizeChart::of($bench->crib),
            self::Reaming => ReamChart::of($bench),
            self::Seats => SeatChart::of($bench),
            self::Chips => ChipChart::of($bench),
        };
    }
}
