<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A step drill with the wanted step marked by tape: a size at every step, and where to stop. */
final class StepDrillMark extends PlainDrawing
{
    public static function name(): string
    {
        return 'step_drill';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        $left = $right = [];
        foreach ([4, 6, 8, 10, 12] as $index => $wide) {
            $y = 12.0 * $index;
            array_push($left, [-2.0 * $wide, $y], [-2.0 * $wide, $y + 10]);
            array_push($right, [2.0 * $wide, $y], [2.0 * $wide, $y + 10]);
        }
        $pen->path(Style::Tool, [[-4, -6], ...$left]);
        $pen->path(Style::Tool, [[-4, -6], [4, -6], ...$right]);
        $pen->area(Style::Fault, [[-17, 36], [17, 36], [17, 40], [-17, 40]]);
        $pen->text(34, 36, Message::of('learning.drawing.tape'), 'start');

        return $pen->drawing('lesson.step_drill');
    }
}
