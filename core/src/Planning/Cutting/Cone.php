<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Length;

/** A cone on the axis of a hole: a drill's point, a countersink, the flare of a centre. */
final class Cone
{
    /** How far it reaches from one diameter to a narrower one: (D − d) / 2 / tan(angle / 2), the angle over both sides. */
    public static function depth(Length $wide, Length $narrow, float $angleDeg): Length
    {
        return $wide->minus($narrow)->times(0.5 / tan(deg2rad($angleDeg / 2)));
    }
}
