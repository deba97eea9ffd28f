<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** Friction of work on steel jaws and clamps (friction.csv, the careful figure; steel and iron taken as oily). */
final class WorkFriction
{
    private const PAIRS = [
        'aluminium' => 'aluminium_on_steel',
        'copper_alloy' => 'brass_on_steel',
        'plastic' => 'plastic_on_steel',
        'wood' => 'wood_on_steel',
    ];

    public static function of(string $group): float
    {
        /** @var array<string, float>|null $least */
        static $least = null;
        if ($least === null) {
            $least = [];
            Table::shipped('friction.csv', ['surface_pair', 'mu_teach'])->map(static function (Row $row) use (&$least): void {
                $pair = $row->text('surface_pair');
                $least[$pair] = min($least[$pair] ?? INF, $row->positive('mu_teach'));
            });
        }

        return $least[self::PAIRS[$group] ?? 'steel_on_steel'];
    }
}
