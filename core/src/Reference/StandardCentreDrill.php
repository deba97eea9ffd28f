<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** A plain 60° centre drill of the standards (centre_drills.csv); the work diameters are workshop practice. */
final readonly class StandardCentreDrill
{
    private function __construct(
        public string $system,
        public CentreDrill $shape,
        public Length $pilotLength,
        public CentreDrillRange $range,
    ) {
    }

    /**
     * The work diameters of one system's sizes.
     *
     * @param  'metric'|'inch'  $system
     * @return non-empty-list<CentreDrillRange>
     *
     * @throws BrokenTable
     */
    public static function ranges(string $system): array
    {
        $ranges = [];
        foreach (self::all() as $drill) {
            if ($drill->system === $system) {
                $ranges[] = $drill->range;
            }
        }

        return $ranges !== [] ? $ranges : throw BrokenTable::missing('centre_drills.csv');
    }

    /** @throws BrokenTable */
    public static function named(string $size): self
    {
        return self::all()[$size] ?? throw new \OutOfBoundsException("No centre drill $size.");
    }

    /**
     * @return array<string, self> by size
     *
     * @throws BrokenTable
     */
    public static function all(): array
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $found = [];
            $columns = [
                'system', 'size', 'pilot_diameter_mm', 'body_diameter_mm', 'pilot_length_mm',
                'recommended_work_diameter_min_mm', 'recommended_work_diameter_max_mm',
            ];
            Table::shipped('centre_drills.csv', $columns)->map(static function (Row $row) use (&$found): void {
                $pilot = $row->length('pilot_diameter_mm');
                $body = $row->length('body_diameter_mm');
                if (! $body->isGreaterThan($pilot)) {
                    throw $row->fault('body_diameter_mm', 'is no wider than the pilot');
                }
                $found[$row->text('size')] = new self($row->choice('system', ['inch', 'metric']), CentreDrill::of($pilot, $body),
                    $row->length('pilot_length_mm'), CentreDrillRange::of(
                        $row->text('size'),
                        $pilot,
                        $row->length('recommended_work_diameter_min_mm'),
                        $row->note('recommended_work_diameter_max_mm') === '' ? null : $row->length('recommended_work_diameter_max_mm'),
                    ));
            });
            $all = $found;
        }

        return $all;
    }
}
