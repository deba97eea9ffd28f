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
    private const SHOP = 7_301_156;

    private const MACHINE = 7_301_157;

    private const PERSON = 7_301_158;

    private const EYES = 7_301_159;

    /**
     * One turn at a time at a machine, and for the persons whose badges these are or who was asked by an earlier read. Whoever
     * decides looks at the clock only after this: it may have waited for a restriction, which is then in the past.
     */
    public static function forDecision(int $machine, ?string $badge = null, ?string $companion = null, ?string $follows = null): void
    {
        DB::select('SELECT gate_lock(?, ?, ?, ?, ?, ?, ?)', [...self::ofMachine($machine), $badge, $companion, $follows]);
    }

    /** @return array{int, int, int, int} what gate_lock goes by for whoever decides at a machine */
    public static function ofMachine(int $machine): array
    {
        return [self::SHOP, self::MACHINE, $machine, self::PERSON];
    }

    /** Last of all, for a supervised turn that begins: two of them at once do not both count the same eyes as free. */
    public static function forSupervision(): void
    {
        DB::select('SELECT pg_advisory_xact_lock(?)', [self::EYES]);
    }

    public static function forRestriction(): void
    {
        DB::select('SELECT pg_advisory_xact_lock(?)', [self::SHOP]);
    }
}
