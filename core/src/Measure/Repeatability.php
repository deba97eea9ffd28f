<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Repeatability extends Result
{
    /**
     * @param  int  $sets  how many features were read more than once
     * @param  int  $readings  of those
     * @param  Length  $deviation  of one reading, pooled over the sets
     * @param  Length  $within  two readings of one feature lie so close to each other, 95 times of 100
     */
    public function __construct(public int $sets, public int $readings, public Length $deviation, public Length $within)
    {
    }
}
