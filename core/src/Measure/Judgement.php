<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Judgement extends Result
{
    /** @param  Length  $deviation from the middle of the limits */
    public function __construct(public Verdict $verdict, public Length $deviation)
    {
    }
}
