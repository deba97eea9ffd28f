<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class Peck extends Result
{
    public function __construct(
        public Length $toDepth,
        public Length $reading,
    ) {
    }
}
