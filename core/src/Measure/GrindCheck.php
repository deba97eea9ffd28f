<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class GrindCheck extends Result
{
    /** @param  Length  $offset  how far the dead point stands off the axis; the hole is over by twice that */
    public function __construct(
        public Length $offset,
        public Length $oversize,
        public Length $hole,
        public float $angleDifferenceDeg,
        public GrindVerdict $verdict,
    ) {
    }
}
