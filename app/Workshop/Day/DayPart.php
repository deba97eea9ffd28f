<?php

declare(strict_types=1);

namespace App\Workshop\Day;

/** What is looked at at a machine before it first turns on a day. */
enum DayPart: string
{
    case Guards = 'guards';
    case Stop = 'stop';
}
