<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The parting blade from above: square to the bar, and at a slant, where it binds and breaks. */
final class ParallelBlade extends PlainDrawing
{
    public static function name(): string
    {
        return 'parting_blade';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 110.0] as $place => $x) {
            $slant = $place === 0 ? 0.0 : 7.0;
            $pen->area(Style::Outline, [[$x, 0], [$x + 70, 0], [$x + 70, 34], [$x, 34]]);
            $pen->line(Style::Centre, $x - 5, 17, $x + 78, 17);
            $pen->area($place === 0 ? Style::Tool : Style::Fault, [
                [$x + 34 - $slant, 10], [$x + 40 - $slant, 10], [$x + 40 + $slant, -40], [$x + 34 + $slant, -40],
            ]);
            $pen->text($x + 36, -40 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'blade_square' : 'blade_slant')));
        }

        return $pen->drawing('lesson.parting_blade');
    }
}
