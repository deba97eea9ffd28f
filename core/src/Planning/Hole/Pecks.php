<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Result;

final readonly class Pecks extends Result
{
    /** @param  list<Peck>  $pecks in working order */
    public function __construct(
        public bool $needed,
        public array $pecks,
    ) {
    }
}
