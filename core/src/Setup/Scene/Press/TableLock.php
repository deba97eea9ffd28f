<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The lever that locks the table to the column. */
final class TableLock extends Place
{
    public static function name(): string
    {
        return 'lock';
    }

    public static function box(): array
    {
        return [0.0, 20.0, 26.0, 52.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->circle(Style::Outline, 12, 36, 5);
        if ($facts->flag('table_locked')) {
            $pen->path(Style::Outline, [[12, 36], [2, 24]]);
            $pen->line(Style::Thin, 0, 27, 6, 22);

            return;
        }
        $pen->path(Style::Outline, [[12, 36], [12, 52]]);
        $pen->line(Style::Thin, 0, 27, 6, 22);
        $pen->line(Style::Thin, 17, 31, 17, 41);
        $pen->line(Style::Thin, 19, 31, 19, 41);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('table_locked') ? 'locked' : 'free';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('table_unlocked', ['table_locked' => false])];
    }
}
