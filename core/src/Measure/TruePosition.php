<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** The diameter of the smallest circle round the wanted place that still holds the found one: 2·hypot. */
final readonly class TruePosition implements Operation
{
    public function __construct(public Length $dx, public Length $dy, public Length $tolerance)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->coordinate('dx_mm'), $fields->coordinate('dy_mm'), $fields->lengthOrZero('tolerance_mm'));
    }

    public function compute(): Position
    {
        $position = Length::mm(2 * hypot($this->dx->inMm(), $this->dy->inMm()));

        return new Position($position, $position->isAtMost($this->tolerance) ? Verdict::In : Verdict::Out);
    }
}
