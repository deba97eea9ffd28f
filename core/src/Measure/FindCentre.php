<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** The middle between two touches, and the size between them. */
final readonly class FindCentre implements Operation
{
    public function __construct(public Length $touchA, public Length $touchB, public Length $tip, public bool $outside)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->coordinate('touch_a_mm'),
            $fields->coordinate('touch_b_mm'),
            $fields->lengthOrZero('tip_mm', 0),
            $fields->choice('side', ['outside', 'inside']) === 'outside',
        );
    }

    /** @throws Impossible when the tip is wider than the gap between the touches */
    public function compute(): Centre
    {
        $gap = $this->touchB->minus($this->touchA)->absolute();
        $size = $this->outside ? $gap->minus($this->tip) : $gap->plus($this->tip);

        return $size->isGreaterThan(Length::zero()) ? new Centre($this->touchA->plus($this->touchB)->times(0.5), $size)
            : throw Impossible::because('tip_mm', 'measure.no_room_between_touches');
    }
}
