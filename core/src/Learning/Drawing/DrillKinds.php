<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Points that belong in metal and in wood: a twist drill, a flat bit, a lip-and-spur bit. */
final class DrillKinds extends LessonDrawing
{
    private const WIDE = 12.0;

    private const APART = 30.0;

    public static function name(): string
    {
        return 'drill_kinds';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(2.8);
        $half = self::WIDE / 2;
        $cone = $half / tan(deg2rad(59));
        $pen->path(Style::Tool, [[-$half, 26], [-$half, 0], [0, -$cone], [$half, 0], [$half, 26]]);
        $pen->path(Style::Tool, [[-$half, 2], [$half, 12]]);
        $pen->path(Style::Tool, [[-$half, 12], [$half, 22]]);
        $x = self::APART;
        $pen->path(Style::Outline, [
            [$x - 2, 26], [$x - 2, 12], [$x - $half, 12], [$x - $half, 0], [$x - 1.5, 0], [$x, -5], [$x + 1.5, 0], [$x + $half, 0],
            [$x + $half, 12], [$x + 2, 12], [$x + 2, 26],
        ]);
        $x = 2 * self::APART;
        $pen->path(Style::Outline, [
            [$x - $half, 26], [$x - $half, -2.5], [$x - $half + 1.5, 0], [$x - 1.5, 0.5], [$x, -4], [$x + 1.5, 0.5], [$x + $half - 1.5, 0],
            [$x + $half, -2.5], [$x + $half, 26],
        ]);
        foreach (['twist', 'flat', 'spur'] as $index => $kind) {
            $pen->text($index * self::APART, -5 - $pen->letters(2), Message::of("learning.drawing.kind_$kind"));
        }

        return $pen->drawing('lesson.drill_kinds');
    }
}
