<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Pins;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Measure\Verdict;

final readonly class PinnedSize extends Result
{
    public function __construct(public Length $least, public Length $under, public ?Verdict $verdict)
    {
    }

    public function toArray(): array
    {
        return ['least_mm' => $this->least->inMm(), 'under_mm' => $this->under->inMm(), 'verdict' => $this->verdict?->value];
    }
}
