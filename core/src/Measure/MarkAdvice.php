<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class MarkAdvice extends Result
{
    public function __construct(
        public Length $offset,
        public Length $truePosition,
        public MarkVerdict $verdict,
    ) {
    }
}
