<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Result;

final readonly class Position extends Result
{
    public function __construct(public Length $position, public Verdict $verdict)
    {
    }
}
