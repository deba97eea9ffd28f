<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A clamp from the side: level, its bolt near the work; and one whose packing is too low, which bears on an edge only. */
final class ClampLevel extends LessonDrawing
{
    private const REACH = 60.0;

    private const BAR = 8.0;

    public static function name(): string
    {
        return 'clamp_level';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $thick = $scene->hole()->thickness->inMm();
        $pen = new Pen(6.0);
        self::clamp($pen, 0, $thick, $thick, 0.3, Style::Tool);
        self::clamp($pen, 2.4 * self::REACH, $thick, 0.35 * $thick, 0.7, Style::Fault);
        $pen->text(0.4 * self::REACH, -$pen->letters(2), Message::of('learning.drawing.clamp_level'));
        $pen->text(2.8 * self::REACH, -$pen->letters(2), Message::of('learning.drawing.clamp_tilts'));

        return $pen->drawing('lesson.clamp_level');
    }

    /** @param  float  $bolt  how far along from the work its bolt stands, in shares of the clamp */
    private static function clamp(Pen $pen, float $x, float $thick, float $packing, float $bolt, Style $style): void
    {
        $pen->area(Style::Outline, [[$x - 40, 0], [$x + 12, 0], [$x + 12, $thick], [$x - 40, $thick]], true);
        $pen->area(Style::Outline, [
            [$x + self::REACH - 8, 0], [$x + self::REACH + 8, 0], [$x + self::REACH + 8, $packing], [$x + self::REACH - 8, $packing],
        ]);
        $end = $x + self::REACH + 8;
        $pen->area($style, [[$x, $thick], [$end, $packing], [$end, $packing + self::BAR], [$x, $thick + self::BAR]]);
        $at = $x + $bolt * self::REACH;
        $mean = $thick + ($packing - $thick) * $bolt;
        $pen->line(Style::Outline, $at, 0, $at, $mean + 2.2 * self::BAR);
        $pen->area(Style::Outline, [
            [$at - 6, $mean + self::BAR], [$at + 6, $mean + self::BAR], [$at + 6, $mean + 1.9 * self::BAR],
            [$at - 6, $mean + 1.9 * self::BAR],
        ]);
        $pen->line(Style::Outline, $x - 44, 0, $end + 8, 0);
    }
}
