<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

/** The smallest and the largest size that will do. */
final readonly class Limits extends Result
{
    public function __construct(public Length $lower, public Length $upper)
    {
    }
}
