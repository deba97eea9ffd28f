<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

enum SpeedVerdict: string
{
    case Ok = 'ok';
    case Capped = 'capped';
    case Slow = 'slow';
    case MachineTooFast = 'machine_too_fast';
}
