<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** The ladder, named after the making of a hole. */
enum Stage: int
{
    case Blank = 0;
    case Scribed = 1;
    case Punched = 2;
    case Piloted = 3;
    case Drilled = 4;
    case Tapped = 5;
}
