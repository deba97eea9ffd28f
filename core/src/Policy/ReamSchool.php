<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** How much is left for the reamer: by table, the next sixty-fourth under, or a fixed step. */
enum ReamSchool: string
{
    case Table = 'table';
    case NextSixtyFourth = 'next_64th';
    case FixedStep = 'fixed_step';
}
