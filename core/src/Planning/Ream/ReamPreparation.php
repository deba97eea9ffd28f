<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Ream;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Workshop\Drill;

final readonly class ReamPreparation extends Result
{
    public function __construct(
        public Drill $preDrill,
        public Length $allowance,
        public ReamWindow $window,
        public ReamVerdict $verdict,
    ) {
    }
}
