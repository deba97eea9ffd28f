<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class CutDuration extends Result
{
    public function __construct(
        public Length $travel,
        public float $feedMmMin,
        public float $timeS,
    ) {
    }
}
