<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Result;

final readonly class CentreDrillSize extends Result
{
    public function __construct(
        public string $size,
    ) {
    }
}
