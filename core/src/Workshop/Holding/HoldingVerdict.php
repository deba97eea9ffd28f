<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

enum HoldingVerdict: string
{
    case Holds = 'holds';
    case Marginal = 'marginal';
    case Slips = 'slips';
    case Never = 'never';
}
