<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Agreement extends Result
{
    public function __construct(
        public int $count,
        public Length $bias,
        public Length $spread,
        public Length $within,
    ) {
    }
}
