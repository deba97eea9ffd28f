<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class DialReading extends Result
{
    public function __construct(
        public int $divisions,
        public int $turns,
        public int $remainderDivisions,
        public Length $actual,
        public Length $error,
    ) {
    }
}
