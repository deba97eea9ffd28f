<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Result;

/** A criterion that cost something, and why. */
final readonly class Loss extends Result
{
    /**
     * @param  'stopped'|'out'|'open'|'less'  $why  it stops the sheet; a part that is out; not seen or doubtful yet; less than full credit
     * @param  float  $points  of 100, to one decimal
     */
    public function __construct(public string $criterion, public string $why, public float $points)
    {
    }
}
