<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

enum Verdict: string
{
    case In = 'in';
    case Out = 'out';
    case Doubtful = 'doubtful';
}
