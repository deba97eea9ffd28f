<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/**
 * How long the flutes of an ordinary drill are, where nobody measured them: jobber_flutes.csv up to 16 mm (ISO 235,
 * straight shank), taper_shank_flutes.csv above (ISO 235, Morse taper shank).
 */
final class UsualFlutes
{
    /** @var list<array{to: float, flute: float}>|null */
    private static ?array $bands = null;

    /**
     * Null over the largest drill of the tables.
     *
     * @throws BrokenTable
     */
    public static function of(Length $diameter): ?Length
    {
        foreach (self::bands() as $band) {
            if ($diameter->inMm() <= $band['to'] + Length::TOLERANCE_MM) {
                return Length::mm($band['flute']);
            }
        }

        return null;
    }

    /**
     * @return list<array{to: float, flute: float}>
     *
     * @throws BrokenTable
     */
    private static function bands(): array
    {
        if (self::$bands === null) {
            $bands = [];
            $before = 0.0;
            foreach (['jobber_flutes.csv', 'taper_shank_flutes.csv'] as $file) {
                Table::shipped($file, ['diameter_max_mm', 'flute_mm'])->map(static function (Row $row) use (&$bands, &$before): void {
                    $to = $row->positive('diameter_max_mm');
                    if ($to <= $before) {
                        throw $row->fault('diameter_max_mm', 'is not larger than the one before');
                    }
                    $bands[] = ['to' => $before = $to, 'flute' => $row->positive('flute_mm')];
                });
            }
            self::$bands = $bands;
        }

        return self::$bands;
    }
}
