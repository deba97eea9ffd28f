<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/**
 * Keeps a decision that gives power and a restriction that takes it apart: decisions share the lock, a restriction
 * has it alone. So a decision is either committed before the restriction begins, and is then revoked by it, or begins
 * after it and sees it. Taken first in a transaction, before any row.
 */
final class PowerLock
{
    private const KEY = 7_301_156;

    public static function forDecision(): void
    {
        DB::select('SELECT pg_advisory_xact_lock_shared(?)', [self::KEY]);
    }

    public static function forRestriction(): void
    {
        DB::select('SELECT pg_advisory_xact_lock(?)', [self::KEY]);
    }
}
