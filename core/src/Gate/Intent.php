<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

/** What a badge is held to the reader for. A start is never a finish and a finish never a start, whatever got lost on the way. */
enum Intent: string
{
    case Start = 'start';
    case Finish = 'finish';
    case HandOver = 'hand_over';
}
