<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Result;

final readonly class ThreadShare extends Result
{
    public function __construct(
        public float $percent,
    ) {
    }
}
