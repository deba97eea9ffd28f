<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How far a drill's cone reaches below its full diameter: (d/2)/tan(angle/2). */
final readonly class DrillPoint implements Operation
{
    public function __construct(public Length $diameter, public float $pointAngleDeg)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->length('diameter_mm'), $fields->between('point_angle_deg', 0, 180));
    }

    public function compute(): PointLength
    {
        return new PointLength(Cone::depth($this->diameter, Length::zero(), $this->pointAngleDeg));
    }
}
