<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

enum CriterionKind: string
{
    case Observed = 'observed';
    case Measured = 'measured';
    case Judged = 'judged';
}
