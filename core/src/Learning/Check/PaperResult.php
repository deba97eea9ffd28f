<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\Result;

final readonly class PaperResult extends Result
{
    /** @param  list<PaperLine>  $lines */
    public function __construct(
        public bool $passed,
        public float $scorePercent,
        public float $passMarkPercent,
        public bool $criticalWrong,
        public bool $late,
        public array $lines,
    ) {
    }
}
