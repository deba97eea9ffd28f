<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Analysis;

use MillStep\Core\Border\Result;

/** How one question fared. */
final readonly class ItemFigures extends Result
{
    /**
     * @param  float  $success  0 to 1
     * @param  array<string, int>  $wrong  how often each was chosen in a wrong answer, the most often first
     * @param  float|null  $correlation  with the rest of the paper; null where it cannot be said
     */
    public function __construct(
        public int $asked,
        public int $right,
        public float $success,
        public array $wrong,
        public ?float $correlation,
        public ItemVerdict $verdict,
    ) {
    }
}
