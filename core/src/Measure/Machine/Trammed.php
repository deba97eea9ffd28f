<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Result;

final readonly class Trammed extends Result
{
    /** @param  float  $slope  millimetres for each millimetre; a hole leans by as much for each millimetre of its depth */
    public function __construct(public float $slope, public bool $square)
    {
    }

    public function toArray(): array
    {
        return [
            'slope_ratio' => $this->slope, 'over_100_mm' => 100 * $this->slope,
            'verdict' => $this->square ? 'square' : 'out_of_square',
        ];
    }
}
