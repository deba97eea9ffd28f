<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** What is near the chips: a brush on the table, or fingers. */
final class Chips extends Place
{
    public static function name(): string
    {
        return 'chips';
    }

    public static function box(): array
    {
        return [86.0, 52.0, 130.0, 84.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $top = 48 + 1.1 * $facts->number('thickness_mm');
        $pen->path(Style::Thin, [[84, $top + 1], [87, $top + 6], [91, $top + 2], [93, $top + 7], [96, $top + 3]]);
        if ($facts->flag('chips_by_hand')) {
            self::hand($pen, 93, $top + 6);

            return;
        }
        self::block($pen, Style::Outline, 136, 40, 146, 45, true);
        self::block($pen, Style::Outline, 146, 41.5, 160, 43.5);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('chips_by_hand') ? 'fingers' : 'brush';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('chips_by_hand', ['chips_by_hand' => true])];
    }
}
