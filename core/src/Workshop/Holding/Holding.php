<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Result;

final readonly class Holding extends Result
{
    public function __construct(
        public float $demandNm,
        public float $capacityNm,
        public float $ratio,
        public HoldingVerdict $verdict,
    ) {
    }
}
