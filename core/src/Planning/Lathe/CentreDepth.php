<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class CentreDepth extends Result
{
    public function __construct(
        public Length $coneLength,
        public Length $depth,
        public Length $mouth,
    ) {
    }
}
