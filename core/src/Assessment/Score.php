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
     * @param  float|null  $observedPercent  of the watched and judged lines alone; null where there is none
     * @param  list<'score'|'observed'|'out'|'must'|'prompts'|'why'>  $reasons  why it is not yet
     * @param  bool  $gated  whether the sheet asks for more than its pass mark
     */
    public function __construct(
        public Outcome $outcome,
        public float $scorePercent,
        public array $stoppedBy,
        public array $open,
        public array $failedBy,
        public ?float $observedPercent = null,
        public array $reasons = [],
        private bool $gated = false,
    ) {
    }

    /** Of gates only where the sheet has any. */
    public function toArray(): array
    {
        return array_diff_key(
            parent::toArray(),
            ['gated' => 0, ...($this->gated ? [] : ['observed_percent' => 0, 'reasons' => 0])],
        );
    }
}
