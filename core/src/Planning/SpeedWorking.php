<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Result;

/** Where a spindle speed comes from: n = 1000 · v · f / (π · d), held to what machine and policy allow. */
final readonly class SpeedWorking extends Result
{
    public function __construct(
        public float $cuttingSpeedMMin,
        public float $factor,
        public float $targetRpm,
        public SpeedVerdict $verdict,
    ) {
    }
}
