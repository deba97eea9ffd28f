<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The belt guard on top of the head. */
final class Guard extends Place
{
    public static function name(): string
    {
        return 'guard';
    }

    public static function box(): array
    {
        return [18.0, 168.0, 100.0, 206.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->circle(Style::Thin, 38, 174, 9);
        $pen->circle(Style::Thin, 80, 174, 12);
        $pen->line(Style::Thin, 38, 183, 80, 186);
        $pen->line(Style::Thin, 38, 165, 80, 162);
        if ($facts->flag('guards_closed')) {
            self::block($pen, Style::Outline, 22, 162, 98, 188, true);

            return;
        }
        $pen->area(Style::Outline, [[22, 166], [28, 162], [66, 200], [60, 204]], true);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('guards_closed') ? 'closed' : 'open';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('guard_open', ['guards_closed' => false])];
    }
}
