<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** Hand-fed drilling feeds by diameter and material group (feeds.csv): teaching values. */
final class FeedTable
{
    /** @var list<array{over: Length, to: Length, group: string, feed: float}>|null */
    private static ?array $bands = null;

    /**
     * Millimetres a turn. Outside the table the nearest band of the group stands.
     *
     * @throws BrokenTable
     * @throws \OutOfBoundsException for a group that the table does not know
     */
    public static function feed(string $group, Length $diameter): float
    {
        self::$bands ??= Table::shipped('feeds.csv', ['diameter_min_mm', 'diameter_max_mm', 'material_group', 'feed_mm_rev'])->map(static fn (Row $row): array => [
            'over' => $row->length('diameter_min_mm'),
            'to' => $row->length('diameter_max_mm'),
            'group' => $row->text('material_group'),
            'feed' => $row->positive('feed_mm_rev'),
        ]);
        $found = null;
        foreach (self::$bands as $band) {
            if ($band['group'] !== $group) {
                continue;
            }
            $found ??= $band['feed'];
            if ($diameter->isGreaterThan($band['over'])) {
                $found = $band['feed'];
            }
        }

        return $found ?? throw new \OutOfBoundsException("No feed for $group.");
    }
}
