<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class CentreDepth extends Result
{
    public function __construct(
        public Length $coneLength,
        public Length $depth,
        public Length $mouth,
    ) {
    }
}
