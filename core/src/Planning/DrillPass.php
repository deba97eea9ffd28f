<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;
use MillStep\Core\Workshop\Drill;

/** One drill going through: which, how fast, and how far its point reaches ahead. */
final readonly class DrillPass extends Result
{
    public function __construct(
        public Drill $drill,
        public SpeedChoice $speed,
        public float $speedFactor,
        public Length $pointLength,
    ) {
    }
}
