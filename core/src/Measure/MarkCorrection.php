<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** What to do about a punch mark that is off: leave it, draw it over, or stone it away. */
final readonly class MarkCorrection implements Operation
{
    public function __construct(public Length $offsetX, public Length $offsetY, public Length $markDiameter, public Length $tolerance)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->coordinate('offset_x_mm'),
            $fields->coordinate('offset_y_mm'),
            $fields->length('mark_diameter_mm'),
            $fields->lengthOrZero('tolerance_mm'),
        );
    }

    public function compute(): MarkAdvice
    {
        $offset = Length::mm(hypot($this->offsetX->inMm(), $this->offsetY->inMm()));
        $truePosition = $offset->times(2);

        return new MarkAdvice($offset, $truePosition, match (true) {
            $truePosition->isAtMost($this->tolerance) => MarkVerdict::Leave,
            $offset->isAtMost($this->markDiameter->times(0.5)) => MarkVerdict::DrawOver,
            default => MarkVerdict::StoneAndRemark,
        });
    }
}
