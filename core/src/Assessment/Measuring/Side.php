<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

/** On which side of its limits something lies. */
enum Side: string
{
    case Under = 'under';
    case Over = 'over';
}
