<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Result;

final readonly class Snatch extends Result
{
    public function __construct(public float $turns, public float $degrees, public float $edgeSpeedMS)
    {
    }
}
