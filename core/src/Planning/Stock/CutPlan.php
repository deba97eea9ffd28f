<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class CutPlan extends Result
{
    /** @param  list<list<float>>  $layout piece lengths in millimetres, a list a bar */
    public function __construct(
        public int $bars,
        public int $lowerBound,
        public array $layout,
        public Length $waste,
    ) {
    }
}
