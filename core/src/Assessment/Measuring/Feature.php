<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

/**
 * What of a part is measured, and whether a part that is out there can still be saved: metal that is still there can be
 * taken away, metal that is gone cannot be put back.
 */
enum Feature: string
{
    case Bore = 'bore';
    case Outside = 'outside';
    case Depth = 'depth';
    case Thickness = 'thickness';
    case Mouth = 'mouth';
    case Gap = 'gap';
    case Place = 'place';
    case Thread = 'thread';
    case Crack = 'crack';

    public function canBeSaved(?Side $side): bool
    {
        return match ($this) {
            self::Bore, self::Depth, self::Mouth, self::Thread => $side === Side::Under,
            self::Outside, self::Thickness => $side === Side::Over,
            self::Gap, self::Place, self::Crack => false,
        };
    }

    /** The code of what is to be done with a part that is out: `assessment.save.bore_under`. */
    public function whatThen(?Side $side): string
    {
        $sided = $side !== null && ! in_array($this, [self::Gap, self::Place, self::Crack], true);

        return 'assessment.save.'.$this->value.($sided ? "_{$side->value}" : '');
    }
}
