<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** How a hole is started at the drill press: straight into the punch mark, or with a short stiff drill first. */
enum StartSchool: string
{
    case Punch = 'punch';
    case Spot = 'spot';
}
