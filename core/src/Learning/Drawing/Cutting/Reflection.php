<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill on bright metal: with its mirror image in one line it stands square, with a kink it leans. */
final class Reflection extends PlainDrawing
{
    public static function name(): string
    {
        return 'reflection';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 90.0] as $place => $x) {
            $lean = $place === 0 ? 0.0 : 10.0;
            $pen->line(Style::Outline, $x - 34, 0, $x + 34, 0);
            $pen->area($place === 0 ? Style::Tool : Style::Fault, [[$x - 4, 0], [$x + 4, 0], [$x + 4 + $lean, 44], [$x - 4 + $lean, 44]]);
            $pen->area(Style::Hidden, [[$x - 4, 0], [$x + 4, 0], [$x + 4 + $lean, -32], [$x - 4 + $lean, -32]]);
            $pen->text($x, -34 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'one_line' : 'kinked')));
        }

        return $pen->drawing('lesson.reflection');
    }
}
