<?php

declare(strict_types=1);

namespace App\Assessment;

/** Who a mark is of: whoever assesses, the learner who measures, or a second instructor who watches. */
enum Seat: string
{
    case Assessor = 'assessor';
    case Learner = 'learner';
    case Second = 'second';
}
