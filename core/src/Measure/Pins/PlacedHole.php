<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Pins;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Measure\Verdict;

final readonly class PlacedHole extends Result
{
    /**
     * @param  Length  $centre  from centre to centre, or from the edge to the centre
     * @param  Length  $doubt  to either side: the gauge, and half of the pins' play
     * @param  Length|null  $off  what the drawing wants taken off; null where it says nothing
     */
    public function __construct(public Length $centre, public Length $doubt, public ?Length $off, public ?Verdict $verdict)
    {
    }

    public function toArray(): array
    {
        return [
            'centre_mm' => $this->centre->inMm(), 'doubt_mm' => $this->doubt->inMm(),
            'off_mm' => $this->off?->inMm(), 'verdict' => $this->verdict?->value,
        ];
    }
}
