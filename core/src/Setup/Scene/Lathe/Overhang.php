<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** How far the work stands out of the chuck. */
final class Overhang extends Place
{
    public static function name(): string
    {
        return 'overhang';
    }

    public static function box(): array
    {
        return [98.0, 36.0, 152.0, 76.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $half = 0.5 * $facts->number('work_diameter_mm');
        $far = $facts->number('overhang_mm') > 3 * $facts->number('work_diameter_mm');
        self::block($pen, Style::Outline, 70, 55 - $half, $far ? 152 : 126, 55 + $half, true);
        $pen->dimensionX(96, 55 + $half, $far ? 152 : 126, 55 + $half, 82, '', $facts->number('overhang_mm'));
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->number('overhang_mm') > 3 * $facts->number('work_diameter_mm') ? 'far' : 'near';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('overhang_unsupported', ['overhang_mm' => 6 * $sound->number('work_diameter_mm')])];
    }

    protected static function terms(SceneFacts $facts): array
    {
        return ['out_mm' => $facts->number('overhang_mm'), 'work_mm' => $facts->number('work_diameter_mm')];
    }
}
