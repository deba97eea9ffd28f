<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** What is near the chips: a hook, or fingers. */
final class LatheChips extends Place
{
    public static function name(): string
    {
        return 'chips';
    }

    public static function box(): array
    {
        return [144.0, 14.0, 172.0, 50.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->path(Style::Thin, [[150, 46], [153, 40], [150, 35], [155, 30], [152, 24], [157, 20]]);
        if ($facts->flag('chips_by_hand')) {
            self::hand($pen, 153, 27);

            return;
        }
        $pen->path(Style::Outline, [[146, 19], [146, 16], [150, 15], [170, 15]]);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('chips_by_hand') ? 'fingers' : 'hook';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('chips_by_hand', ['chips_by_hand' => true])];
    }
}
