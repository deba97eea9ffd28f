<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Workshop\Drill;

final readonly class ClearanceDrill extends Result
{
    public function __construct(
        public Length $ideal,
        public Drill $drill,
    ) {
    }
}
