<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** How far the corner of each drill travels in one turn: two circles and their lengths unrolled, to one scale. */
final class CornerPath extends LessonDrawing
{
    public static function name(): string
    {
        return 'corner_path';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $large = $scene->hole()->diameter()->inMm();
        $small = $scene->hole()->pilot?->diameter?->inMm();
        if ($small === null) {
            return null;
        }
        $pen = Pen::forSize(M_PI * $large + $large);
        $y = 0.0;
        foreach ([$large, $small] as $d) {
            $pen->circle(Style::Tool, 0, $y + $d / 2, $d / 2);
            $pen->centreMark(0, $y + $d / 2, $d / 2);
            $from = $large;
            $pen->line(Style::Outline, $from, $y + $d / 2, $from + M_PI * $d, $y + $d / 2);
            $pen->dimensionX($from, $y + $d / 2, $from + M_PI * $d, $y + $d / 2, $y + $d / 2 - $pen->letters(1.6), '', M_PI * $d);
            $pen->text(0, $y + $d + $pen->letters(0.8), '⌀ ', 'middle', $d);
            $y -= max($small, $pen->letters(4)) + $pen->letters(3);
        }
        $pen->text($large, $large / 2 + $pen->letters(1), Message::of('learning.drawing.one_turn'), 'start');

        return $pen->drawing('lesson.corner_path');
    }
}
