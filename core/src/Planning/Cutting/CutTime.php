<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How long a cut takes: approach, depth and point at the feed. */
final readonly class CutTime implements Operation
{
    public function __construct(
        public Length $diameter,
        public Length $depth,
        public float $pointAngleDeg,
        public float $feedMmRev,
        public float $rpm,
        public Length $approach,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->length('diameter_mm'),
            $fields->length('depth_mm'),
            $fields->between('point_angle_deg', 0, 180),
            $fields->positive('feed_mm_rev'),
            $fields->positive('rpm'),
            $fields->lengthOrZero('approach_mm', 1),
        );
    }

    public function compute(): CutDuration
    {
        $point = (new DrillPoint($this->diameter, $this->pointAngleDeg))->compute()->pointLength;
        $travel = $this->approach->plus($this->depth)->plus($point);
        $feedMmMin = $this->feedMmRev * $this->rpm;

        return new CutDuration($travel, $feedMmMin, 60 * $travel->inMm() / $feedMmMin);
    }
}
