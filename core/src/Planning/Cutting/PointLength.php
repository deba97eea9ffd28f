<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class PointLength extends Result
{
    public function __construct(public Length $pointLength)
    {
    }
}
