<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Result;

final readonly class CentreCheck extends Result
{
    public function __construct(
        public float $fraction,
        public CentreVerdict $verdict,
    ) {
    }
}
