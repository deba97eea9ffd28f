<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** How fast an operation runs against plain drilling (operation_speed_factors.csv, the teaching column). */
final class OperationFactors
{
    /** @var array<string, array{teach: float, most: float}>|null */
    private static ?array $factors = null;

    /**
     * @throws BrokenTable
     * @throws \OutOfBoundsException for an operation that the table does not know
     */
    public static function of(string $operation): float
    {
        return self::all()[$operation]['teach'] ?? throw new \OutOfBoundsException("No speed factor for $operation.");
    }

    /**
     * The fastest that the table lets an operation run.
     *
     * @throws BrokenTable
     * @throws \OutOfBoundsException for an operation that the table does not know
     */
    public static function most(string $operation): float
    {
        return self::all()[$operation]['most'] ?? throw new \OutOfBoundsException("No speed factor for $operation.");
    }

    /**
     * @return array<string, array{teach: float, most: float}> by operation
     *
     * @throws BrokenTable
     */
    private static function all(): array
    {
        if (self::$factors === null) {
            $factors = [];
            Table::shipped('operation_speed_factors.csv', ['operation', 'factor_teach', 'factor_max'])->map(
                static function (Row $row) use (&$factors): void {
                    $teach = $row->positive('factor_teach');
                    $most = $row->positive('factor_max');
                    if ($teach > $most) {
                        throw $row->fault('factor_teach', 'lies over its own maximum');
                    }
                    $factors[$row->text('operation')] = ['teach' => $teach, 'most' => $most];
                },
            );
            self::$factors = $factors;
        }

        return self::$factors;
    }
}
