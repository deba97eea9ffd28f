<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Ream;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class ReamWindow extends Result
{
    public function __construct(
        public Length $min,
        public Length $max,
    ) {
    }
}
