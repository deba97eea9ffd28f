<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Result;
use MillStep\Core\Policy\PilotSchool;
use MillStep\Core\Workshop\Drill;

final readonly class PilotSteps extends Result
{
    /** @param  non-empty-list<Drill>  $steps in working order, the final drill last */
    public function __construct(public array $steps, public PilotSchool $schoolUsed, public PilotReason $reason)
    {
    }
}
