<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

final readonly class TapSequence extends Result
{
    /** @param  non-empty-list<string>  $sequence in working order */
    public function __construct(
        public array $sequence,
        public bool $reverseToBreakChip,
        public Message $reason,
    ) {
    }
}
