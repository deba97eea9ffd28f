<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** What makes scribed lines visible: marking dye, a copper wash that coolant does not lift, or nothing but a crisp bright line. */
enum MarkingSchool: string
{
    case Dye = 'dye';
    case Copper = 'copper';
    case Bare = 'bare';
}
