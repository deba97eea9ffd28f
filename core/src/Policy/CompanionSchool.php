<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** Who will do as a companion at a machine: whoever has passed its safety checks, or only whoever may run it alone. */
enum CompanionSchool: string
{
    case Checked = 'checked';
    case Signed = 'signed';
}
