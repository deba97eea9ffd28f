<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** The database's clock is the gate's: several servers that look at it agree on what is before and after. */
final class DatabaseClock
{
    public static function now(): CarbonImmutable
    {
        $row = DB::selectOne(
            "SELECT to_char(coalesce(?::timestamptz, clock_timestamp()) AT TIME ZONE 'UTC', 'YYYY-MM-DD HH24:MI:SS.US') AS now",
            [self::pretended()],
        );

        return CarbonImmutable::parse(Given::text($row?->now), 'UTC');
    }

    /** The instant that a test has set; null wherever nobody tests. */
    public static function pretended(): ?string
    {
        return CarbonImmutable::hasTestNow() ? CarbonImmutable::now()->format('Y-m-d H:i:s.uP') : null;
    }
}
