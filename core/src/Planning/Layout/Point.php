<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Point extends Result
{
    public function __construct(
        public Length $x,
        public Length $y,
    ) {
    }
}
