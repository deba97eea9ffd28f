<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Result;

final readonly class Snatch extends Result
{
    public function __construct(public float $turns, public float $degrees, public float $edgeSpeedMS)
    {
    }
}
