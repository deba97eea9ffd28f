<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

/** One hole of a layout: its place from the plate's lower left corner and from the datum, and its edge distance. */
final readonly class LayoutHole extends Result
{
    public function __construct(
        public string $name,
        public Length $x,
        public Length $y,
        public Length $datumX,
        public Length $datumY,
        public Length $edge,
        public bool $edgeOk,
        public LayoutSetting $xSetting,
        public LayoutSetting $ySetting,
    ) {
    }
}
