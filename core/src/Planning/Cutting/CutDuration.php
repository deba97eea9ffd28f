<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class CutDuration extends Result
{
    public function __construct(
        public Length $travel,
        public float $feedMmMin,
        public float $timeS,
    ) {
    }
}
