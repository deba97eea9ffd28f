<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The tailstock: clamped to the bed, its spindle far enough out. */
final class Tail extends Place
{
    public static function name(): string
    {
        return 'tailstock';
    }

    public static function box(): array
    {
        return [172.0, 14.0, 226.0, 82.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $out = 0.4 * $facts->number('tailstock_spindle_out_mm');
        self::block($pen, Style::Outline, 186, 14, 222, 22);
        self::block($pen, Style::Outline, 190, 22, 218, 68);
        self::block($pen, Style::Outline, 190 - $out, 50, 190, 60);
        $pen->dimensionX(190 - $out, 60, 190, 60, 74, '', $facts->number('tailstock_spindle_out_mm'));
        $pen->circle(Style::Outline, 224, 55, 6);
        $pen->circle(Style::Outline, 204, 30, 3);
        if ($facts->flag('tailstock_clamped')) {
            $pen->path(Style::Outline, [[204, 30], [214, 24]]);
            self::block($pen, Style::Outline, 200, 4, 208, 14);

            return;
        }
        $pen->path(Style::Outline, [[204, 30], [200, 44]]);
        self::block($pen, Style::Outline, 200, -2, 208, 6);
    }

    public static function state(SceneFacts $facts): string
    {
        return ! $facts->flag('tailstock_clamped') ? 'loose' : ($facts->number('tailstock_spindle_out_mm') < 20 ? 'short' : 'sound');
    }

    public static function faults(SceneFacts $sound): array
    {
        return [
            SceneFault::of('tailstock_unclamped', ['tailstock_clamped' => false]),
            SceneFault::of('tailstock_spindle_too_short', ['tailstock_spindle_out_mm' => 5]),
        ];
    }

    protected static function terms(SceneFacts $facts): array
    {
        return ['out_mm' => $facts->number('tailstock_spindle_out_mm')];
    }
}
