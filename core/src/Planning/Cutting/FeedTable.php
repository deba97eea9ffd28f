<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Length;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;
use MillStep\Core\Workshop\Material;

/**
 * Hand-fed drilling feeds by diameter and material group (feeds.csv): teaching values.
 *
 * @phpstan-type Band array{over: Length, key: string, feed: float}
 */
final class FeedTable
{
    /** @var array<string, list<Band>>|null by group, small diameters first */
    private static ?array $bands = null;

    /**
     * Millimetres a turn. Outside the table the nearest band of the group stands.
     *
     * @throws BrokenTable
     */
    public static function feed(string $group, Length $diameter): float
    {
        return self::band($group, $diameter)['feed'];
    }

    /**
     * The name of the row in the table, as uncertain_rows.csv calls it.
     *
     * @throws BrokenTable
     */
    public static function row(string $group, Length $diameter): string
    {
        return self::band($group, $diameter)['key'];
    }

    /**
     * @return array<string, list<Band>>
     *
     * @throws BrokenTable
     */
    public static function bands(): array
    {
        if (self::$bands === null) {
            $bands = [];
            Table::shipped('feeds.csv', ['diameter_min_mm', 'diameter_max_mm', 'material_group',
                'feed_mm_rev'])->map(static function (Row $row) use (&$bands): void {
                    if ($row->positive('diameter_max_mm') <= $row->positive('diameter_min_mm')) {
                        throw $row->fault('diameter_max_mm', 'the band is upside down');
                    }
                    $group = $row->choice('material_group', Material::GROUPS);
                    $bands[$group][] = [
                        'over' => $row->length('diameter_min_mm'),
                        'key' => $row->text('diameter_min_mm').'-'.$row->text('diameter_max_mm')." $group",
                        'feed' => $row->positive('feed_mm_rev'),
                    ];
                });
            foreach ($bands as &$list) {
                usort($list, static fn (array $a, array $b): int => $a['over']->compareExactly($b['over']));
            }
            self::$bands = $bands;
        }

        return self::$bands;
    }

    /** @return Band */
    private static function band(string $group, Length $diameter): array
    {
        $found = null;
        foreach (self::bands()[$group] ?? [] as $band) {
            $found = $found === null || $diameter->isGreaterThan($band['over']) ? $band : $found;
        }

        return $found ?? throw new \OutOfBoundsException("No feed for $group.");
    }
}
