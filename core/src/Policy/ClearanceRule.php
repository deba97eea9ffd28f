<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

/** A hole for a fastener: by the standard's table, or the fastener plus a fixed step. */
enum ClearanceRule: string
{
    case Table = 'table';
    case Plus = 'plus';
}
