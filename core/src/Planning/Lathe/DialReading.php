<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

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
