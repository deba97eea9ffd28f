<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class PartOffPlan extends Result
{
    public function __construct(
        public Length $move,
        public Length $drilledFullDepth,
        public Length $drilledTotalDepth,
        public Length $overhang,
        public Length $barUsed,
    ) {
    }
}
