<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;

/**
 * The inside jaws of a caliper are flat at their tips, so that in a round hole they bear on a chord: the hole is as wide as the diagonal
 * over what was read and the tips. With tips of 1 mm, 9 mm read 0.06 small and 5 mm read 0.10.
 */
final readonly class CaliperTips
{
    public function __construct(private Length $width)
    {
    }

    /** How wide the hole is in which so much was read. */
    public function bore(Length $read): Length
    {
        return $read->isPositive() ? Length::mm(hypot($read->inMm(), $this->width->inMm())) : $read;
    }
}
