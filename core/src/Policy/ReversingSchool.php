<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** When a straight-flute hand tap is turned back to break its chip: when it stiffens, or after every turn. */
enum ReversingSchool: string
{
    case WhenItStiffens = 'when_it_stiffens';
    case EveryTurn = 'every_turn';
}
