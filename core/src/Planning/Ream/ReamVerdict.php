<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Ream;

enum ReamVerdict: string
{
    case Good = 'good';
    case Rubs = 'rubs';
    case Heavy = 'heavy';
    case Breaks = 'breaks';
}
