<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill that starts beside the middle: its shank draws a circle; a bar in the tool post steadies it. */
final class CrookedStart extends PlainDrawing
{
    public static function name(): string
    {
        return 'crooked_start';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        $pen->area(Style::Outline, [[0, -30], [40, -30], [40, 30], [0, 30]], true);
        $pen->line(Style::Centre, -10, 0, 130, 0);
        $pen->path(Style::Fault, [[34, 4], [44, 9], [112, 9]]);
        $pen->path(Style::Fault, [[34, 2], [44, -3], [112, -3]]);
        $pen->circle(Style::Hidden, 118, 0, 12);
        $pen->area(Style::Tool, [[54, 10], [66, 10], [66, 40], [54, 40]]);
        $pen->text(60, 44, Message::of('learning.drawing.steadied'));
        $pen->text(112, -24, Message::of('learning.drawing.shank_draws_circle'));

        return $pen->drawing('lesson.crooked_start');
    }
}
