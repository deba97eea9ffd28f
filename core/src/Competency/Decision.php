<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

enum Decision: string
{
    case Alone = 'alone';
    case Supervised = 'supervised';
    case No = 'no';
}
