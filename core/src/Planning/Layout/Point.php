<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class Point extends Result
{
    public function __construct(
        public Length $x,
        public Length $y,
    ) {
    }
}
