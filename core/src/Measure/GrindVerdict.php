<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

enum GrindVerdict: string
{
    case Sound = 'sound';
    case WrongPoint = 'wrong_point';
    case Regrind = 'regrind';
}
