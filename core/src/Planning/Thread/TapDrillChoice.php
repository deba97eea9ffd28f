<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class TapDrillChoice extends Result
{
    /** @param  list<TapDrillCandidate>  $alternatives nearest first */
    public function __construct(
        public Length $ideal,
        public TapDrillCandidate $chosen,
        public array $alternatives,
    ) {
    }
}
