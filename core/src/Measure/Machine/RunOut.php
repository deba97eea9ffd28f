<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class RunOut extends Result
{
    /**
     * @param  Length  $swing  the indicator's whole way, and so the most that a hole comes out over its drill for it
     * @param  Length  $aside  how far the tool's middle stands off the spindle's
     */
    public function __construct(public Length $swing, public Length $aside, public bool $sound)
    {
    }

    public function toArray(): array
    {
        return ['swing_mm' => $this->swing->inMm(), 'aside_mm' => $this->aside->inMm(), 'verdict' => $this->sound ? 'sound' : 'runs_out'];
    }
}
