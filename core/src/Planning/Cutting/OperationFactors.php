<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Table;

/** How fast an operation runs against plain drilling (operation_speed_factors.csv, the teaching column). */
final class OperationFactors
{
    /** @var array<string, float>|null */
    private static ?array $factors = null;

    /**
     * @throws BrokenTable
     * @throws \OutOfBoundsException for an operation that the table does not know
     */
    public static function of(string $operation): float
    {
        if (self::$factors === null) {
            $factors = [];
            Table::shipped('operation_speed_factors.csv', ['operation', 'factor_teach'])->map(static function ($row) use (&$factors): void {
                $factors[$row->text('operation')] = $row->positive('factor_teach');
            });
            self::$factors = $factors;
        }

        return self::$factors[$operation] ?? throw new \OutOfBoundsException("No speed factor for $operation.");
    }
}
