<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Chalk brought near a turning bar marks where it stands out furthest: the high side. */
final class ChalkRing extends PlainDrawing
{
    public static function name(): string
    {
        return 'chalk_ring';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.0);
        $pen->circle(Style::Hidden, 0, 0, 24);
        $pen->circle(Style::Outline, 4, 0, 22);
        $pen->centreMark(0, 0, 6);
        $pen->area(Style::Tool, [[26, -4], [60, -4], [60, 4], [26, 4]]);
        $pen->path(Style::Fault, [[24.6, 7], [26, 3], [26, -3], [24.6, -7]]);
        $pen->text(44, 8, Message::of('learning.drawing.chalk'));
        $pen->text(20, -24 - $pen->letters(1.8), Message::of('learning.drawing.high_side'));

        return $pen->drawing('lesson.chalk_ring');
    }
}
