<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Result;

/** A drawing to scale, in millimetres, y upwards; made of the very numbers that stand beside it. */
final readonly class Drawing extends Result
{
    /**
     * @param  float  $textMm  height of its letters at its own scale
     * @param  list<Path|Circle|Text>  $shapes  in the order in which they are drawn
     */
    public function __construct(
        public string $title,
        public float $minX,
        public float $minY,
        public float $maxX,
        public float $maxY,
        public float $textMm,
        public array $shapes,
    ) {
    }
}
