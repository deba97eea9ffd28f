<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

enum CentreVerdict: string
{
    case PilotOnly = 'pilot_only';
    case TooShallow = 'too_shallow';
    case Shallow = 'shallow';
    case Good = 'good';
    case Full = 'full';
    case TooDeep = 'too_deep';
}
