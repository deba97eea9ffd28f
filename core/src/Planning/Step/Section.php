<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

/** What a section shows of the drilled hole, in millimetres: the operations draw themselves into it. */
final readonly class Section
{
    public function __construct(
        public float $diameterMm,
        public float $depthMm,
        public float $totalMm,
        public float $thicknessMm,
        public float $sideMm,
        public bool $through,
    ) {
    }
}
