<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Result;

final readonly class Score extends Result
{
    /**
     * @param  float  $scorePercent  to one decimal; unfinished criteria count 0
     * @param  list<string>  $stoppedBy
     * @param  list<string>  $open  not seen, not measured or doubtful
     * @param  list<string>  $failedBy  critical measurements that are outside
     */
    public function __construct(
        public Outcome $outcome,
        public float $scorePercent,
        public array $stoppedBy,
        public array $open,
        public array $failedBy,
    ) {
    }
}
