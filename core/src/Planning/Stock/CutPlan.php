<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

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
