<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

enum OverhangVerdict: string
{
    case UnsupportedOk = 'unsupported_ok';
    case SupportNeeded = 'support_needed';
}
