<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

enum FinderVerdict: string
{
    case Sound = 'sound';
    case Reject = 'reject';
}
