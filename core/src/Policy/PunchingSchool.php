<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** One firm blow of a centre punch, or a needle-sharp prick, a look through the loupe, and then the deep blow. */
enum PunchingSchool: string
{
    case OneBlow = 'one_blow';
    case PrickAndCheck = 'prick_and_check';
}
