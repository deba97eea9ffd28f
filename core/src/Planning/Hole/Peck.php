<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Peck extends Result
{
    public function __construct(
        public Length $toDepth,
        public Length $reading,
    ) {
    }
}
