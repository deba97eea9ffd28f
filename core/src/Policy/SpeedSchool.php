<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** By surface speed from material and diameter, or one slow speed that the shop sets for all learners. */
enum SpeedSchool: string
{
    case Surface = 'surface';
    case Shop = 'shop';
}
