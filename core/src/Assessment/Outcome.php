<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

enum Outcome: string
{
    case Stopped = 'stopped';
    case Incomplete = 'incomplete';
    case NotYet = 'not_yet';
    case Passed = 'passed';
}
