<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A scriber at a rule: tilted, its point runs in the corner; upright, it runs beside it. */
final class ScriberInCorner extends LessonDrawing
{
    public static function name(): string
    {
        return 'scriber_in_corner';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.4);
        $ways = [[0.0, 16.0, 0.0, 'in_corner', Style::Tool], [110.0, 0.0, 5.0, 'beside_it', Style::Fault]];
        foreach ($ways as [$x, $tilt, $off, $word, $style]) {
            $pen->line(Style::Outline, $x - 40, 0, $x + 40, 0);
            $pen->area(Style::Outline, [[$x - 34, 0], [$x, 0], [$x, 7], [$x - 34, 7]], true);
            $tip = $x + $off;
            $pen->path($style, [[$tip + $tilt - 3, 44], [$tip, 0], [$tip + $tilt + 3, 44]]);
            $pen->text($x, -$pen->letters(2), Message::of("learning.drawing.$word"));
        }

        return $pen->drawing('lesson.scriber_in_corner');
    }
}
