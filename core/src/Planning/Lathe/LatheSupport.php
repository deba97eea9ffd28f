<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

/** What carries the far end of long work. */
enum LatheSupport: string
{
    case None = 'none';
    case Tailstock = 'tailstock';
    case Steady = 'steady';
}
