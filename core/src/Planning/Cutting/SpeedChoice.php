<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Result;

final readonly class SpeedChoice extends Result
{
    public function __construct(
        public float $targetRpm,
        public float $chosenRpm,
        public float $surfaceSpeedMMin,
        public SpeedVerdict $verdict,
    ) {
    }
}
