<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** How many threads at a tap's tip are not full (tap_types.csv, the longer figure). */
final class TapLead
{
    /** Of the last tap of a sequence, which is the one that finishes the thread. */
    public static function threads(TapSequence $taps): float
    {
        /** @var array<string, float>|null $leads */
        static $leads = null;
        if ($leads === null) {
            $leads = [];
            Table::shipped('tap_types.csv', ['type', 'chamfer_threads_max'])->map(static function (Row $row) use (&$leads): void {
                $leads[$row->text('type')] = $row->positive('chamfer_threads_max');
            });
        }

        return $leads[$taps->sequence[count($taps->sequence) - 1]];
    }
}
