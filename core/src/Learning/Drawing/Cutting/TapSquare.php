<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A tap looked at from two sides with a small square: upright from one, leaning from the other. */
final class TapSquare extends PlainDrawing
{
    public static function name(): string
    {
        return 'tap_square';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 96.0] as $place => $x) {
            $lean = $place === 0 ? 0.0 : 9.0;
            $pen->area(Style::Outline, [[$x - 34, 0], [$x + 34, 0], [$x + 34, -20], [$x - 34, -20]], true);
            $pen->area($place === 0 ? Style::Tool : Style::Fault, [[$x - 5, -6], [$x + 5, -6], [$x + 5 + $lean, 52], [$x - 5 + $lean, 52]]);
            $pen->area(Style::Thin, [[$x - 30, 0], [$x - 10, 0], [$x - 10, 4], [$x - 26, 4], [$x - 26, 44], [$x - 30, 44]]);
            $pen->text($x, -20 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'from_one_side' : 'from_other_side')));
        }

        return $pen->drawing('lesson.tap_square');
    }
}
