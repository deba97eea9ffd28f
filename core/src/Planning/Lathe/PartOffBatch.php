<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Cutting\DrillPoint;

/** A run of equal rings off one bar: each move, how deep to drill, how far the bar stands out. */
final readonly class PartOffBatch implements Operation
{
    public function __construct(
        public int $count,
        public Length $thickness,
        public Length $blade,
        public Length $cleanup,
        public Length $facing,
        public Length $drillDiameter,
        public float $pointAngleDeg,
        public Length $depthMargin,
        public Length $jawClearance,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->integer('count', 1),
            $fields->length('thickness_mm'),
            $fields->length('blade_mm'),
            $fields->lengthOrZero('cleanup_mm'),
            $fields->lengthOrZero('facing_mm', 0),
            $fields->length('drill_diameter_mm'),
            $fields->between('point_angle_deg', 0, 180),
            $fields->lengthOrZero('depth_margin_mm', 0),
            $fields->lengthOrZero('jaw_clearance_mm'),
        );
    }

    public function compute(): PartOffPlan
    {
        $move = $this->blade->plus($this->thickness)->plus($this->cleanup);
        $batch = $move->times($this->count);
        $depth = $batch->plus($this->depthMargin);
        $used = $this->facing->plus($batch);

        return new PartOffPlan(
            $move,
            $depth,
            $depth->plus((new DrillPoint($this->drillDiameter, $this->pointAngleDeg))->compute()->pointLength),
            $used->plus($this->jawClearance),
            $used,
        );
    }
}
