<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class TapDrillCandidate extends Result
{
    public function __construct(
        public string $designation,
        public Length $diameter,
        public float $percent,
    ) {
    }
}
