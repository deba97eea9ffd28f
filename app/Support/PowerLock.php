<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/**
 * Keeps a decision that gives power and a restriction that takes it apart: decisions share the lock, a restriction
 * has it alone. So a decision is either committed before the restriction begins, and is then revoked by it, or begins
 * after it and sees it. Within that, one decision at a time at a machine, and for a person. Taken first in a
 * transaction, before any row, in this order: shop, machine, person.
 */
final class PowerLock
{
    public const SHOP = 7_301_156;

    public const MACHINE = 7_301_157;

    public const PERSON = 7_301_158;

    /** One turn at a time at a machine. Where a person is decided on, the look that decides takes the locks (App\Gate\Moment). */
    public static function forDecision(int $machine): void
    {
        DB::select('SELECT gate_lock(?, ?, ?, ?, ?, ?)', [self::SHOP, self::MACHINE, $machine, self::PERSON, null, null]);
    }

    public static function forRestriction(): void
    {
        DB::select('SELECT pg_advisory_xact_lock(?)', [self::SHOP]);
    }
}
