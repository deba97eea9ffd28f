<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** Morse taper shanks 0 to 6 (morse_tapers.csv, after ISO 296) and the drills that usually have them. */
final class MorseTaper
{
    /** @var array<int, array{from: float|null, to: float|null}>|null by number */
    private static ?array $drills = null;

    /**
     * The shank that a drill of this size usually has.
     *
     * @throws BrokenTable
     */
    public static function usualFor(Length $diameter): ?int
    {
        foreach (self::drills() as $number => $band) {
            if ($band['to'] !== null && $diameter->inMm() <= $band['to'] + Length::TOLERANCE_MM
                && $diameter->inMm() >= ($band['from'] ?? 0.0)) {
                return $number;
            }
        }

        return null;
    }

    /**
     * @return array<int, array{from: float|null, to: float|null}>
     *
     * @throws BrokenTable
     */
    public static function drills(): array
    {
        if (self::$drills === null) {
            $drills = [];
            Table::shipped('morse_tapers.csv', ['number', 'large_end_mm', 'taper_mm_per_mm', 'tang_thickness_mm', 'drill_diameter_min_mm',
                'drill_diameter_max_mm'])->map(static function (Row $row) use (&$drills): void {
                    foreach (['large_end_mm', 'taper_mm_per_mm', 'tang_thickness_mm'] as $column) {
                        $row->positive($column);
                    }
                    $drills[(int) $row->number('number')] = [
                        'from' => $row->numberOrNull('drill_diameter_min_mm'),
                        'to' => $row->numberOrNull('drill_diameter_max_mm'),
                    ];
                });
            self::$drills = $drills;
        }

        return self::$drills;
    }
}
