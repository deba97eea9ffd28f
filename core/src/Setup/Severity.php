<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

/** Do not start; put right first; know this. */
enum Severity: string
{
    case Stop = 'stop';
    case Fix = 'fix';
    case Note = 'note';
}
