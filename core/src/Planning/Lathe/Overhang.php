<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

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
