<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill press from the side, its parts by the names that are called across a shop. */
final class PressParts extends LessonDrawing
{
    /** Each name on a line of its own, however near the parts lie. */
    private const HEIGHTS = [
        'belt_guard' => 160.0, 'feed_lever' => 147.0, 'stop_switch' => 134.0, 'quill' => 121.0, 'depth_stop' => 108.0, 'chuck' => 95.0,
        'drill' => 79.0, 'table' => 60.0, 'table_lock' => 42.0, 'column' => 25.0, 'base' => 8.0,
    ];

    public static function name(): string
    {
        return 'press_parts';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.6);
        self::box($pen, 0, 0, 70, 8);
        self::box($pen, 12, 8, 20, 150);
        self::box($pen, 4, 118, 62, 150);
        self::box($pen, 0, 150, 66, 164);
        self::box($pen, 46, 96, 56, 118);
        $pen->area(Style::Tool, [[45, 96], [57, 96], [57, 86], [53, 80], [49, 80], [45, 86]]);
        $pen->area(Style::Tool, [[50, 80], [52, 80], [52, 64], [50, 64]]);
        self::box($pen, 20, 44, 68, 50);
        $pen->line(Style::Outline, 30, 44, 24, 36);
        $pen->path(Style::Outline, [[62, 132], [74, 142]]);
        $pen->path(Style::Outline, [[62, 132], [72, 122]]);
        $pen->circle(Style::Outline, 62, 132, 3);
        $pen->circle(Style::Fault, 36, 134, 5);
        $pen->line(Style::Thin, 60, 118, 60, 92);
        foreach ([
            ['belt_guard', 33, 157], ['feed_lever', 74, 142], ['stop_switch', 36, 134], ['quill', 51, 107], ['depth_stop', 60, 98],
            ['chuck', 54, 88], ['drill', 51, 70], ['table', 60, 47], ['table_lock', 25, 38], ['column', 16, 70], ['base', 50, 4],
        ] as [$part, $x, $y]) {
            self::named($pen, $part, (float) $x, (float) $y);
        }

        return $pen->drawing('lesson.press_parts');
    }

    /** Its name at the right, a thin line to where it is. */
    private static function named(Pen $pen, string $part, float $x, float $y): void
    {
        $high = self::HEIGHTS[$part] ?? $y;
        $pen->line(Style::Thin, $x, $y, 88, $high);
        $pen->text(90, $high - $pen->letters(0.35), Message::of("learning.drawing.$part"), 'start');
    }

    private static function box(Pen $pen, float $left, float $low, float $right, float $high): void
    {
        $pen->area(Style::Outline, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]]);
    }
}
