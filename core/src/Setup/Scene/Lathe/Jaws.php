<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The jaws on the work. */
final class Jaws extends Place
{
    public static function name(): string
    {
        return 'jaws';
    }

    public static function box(): array
    {
        return [80.0, 34.0, 98.0, 80.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $half = 0.5 * $facts->number('work_diameter_mm');
        self::block($pen, Style::Tool, 82, 55 + $half, 96, 55 + $half + 9);
        $gap = $facts->flag('all_jaws_bear') ? 0 : 6;
        self::block($pen, Style::Tool, 82, 55 - $half - 9 - $gap, 96, 55 - $half - $gap);
        $pen->line(Style::Thin, 82, 55, 96, 55);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('all_jaws_bear') ? 'bear' : 'gap';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('jaws_not_all_bearing', ['all_jaws_bear' => false])];
    }
}
