<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

final readonly class Overhang extends Result
{
    /** @param  list<string>  $advice in the order to try */
    public function __construct(
        public float $ratio,
        public Length $allowed,
        public OverhangVerdict $verdict,
        public array $advice,
    ) {
    }
}
