<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The guard over the chuck. */
final class ChuckGuard extends Place
{
    public static function name(): string
    {
        return 'guard';
    }

    public static function box(): array
    {
        return [46.0, 84.0, 110.0, 128.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->circle(Style::Outline, 58, 96, 3);
        if ($facts->flag('guards_closed')) {
            self::block($pen, Style::Outline, 54, 80, 106, 98);
            foreach ([62, 76, 90] as $x) {
                $pen->line(Style::Thin, $x, 82, $x + 12, 96);
            }

            return;
        }
        $pen->area(Style::Outline, [[56, 98], [60, 94], [92, 122], [76, 128], [74, 124], [84, 121]]);
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
