<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Result;

final readonly class PaperLine extends Result
{
    public function __construct(
        public string $id,
        public bool $right,
        public bool $critical,
        public string $lesson,
        public string $rightAnswer,
        public string $explanation,
    ) {
    }
}
