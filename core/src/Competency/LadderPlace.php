<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Result;

final readonly class LadderPlace extends Result
{
    /** @param  list<string>  $next what the next stage still needs: `lesson:ID`, `practice:minutes:30`, `sign_off` … */
    public function __construct(
        public Stage $stage,
        public bool $held,
        public ?Lapse $lapsed,
        public array $next,
    ) {
    }
}
