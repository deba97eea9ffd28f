<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A square against an edge, held to the light: no light, and a wedge of it. */
final class SquareToLight extends LessonDrawing
{
    public static function name(): string
    {
        return 'square_to_light';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.4);
        foreach ([[0.0, 0.0, 'no_light'], [90.0, 5.0, 'light_wedge']] as [$x, $lean, $word]) {
            $pen->area(Style::Outline, [[$x, 0], [$x + 40, 0], [$x + 40, 30], [$x + $lean, 30]], true);
            $pen->area(Style::Tool, [[$x - 9, 42], [$x, 42], [$x, -14], [$x - 9, -14]]);
            if ($lean > 0) {
                $pen->area(Style::Fault, [[$x, 0], [$x + $lean, 30], [$x, 30]]);
            }
            $pen->text($x + 14, -14 - $pen->letters(1.6), Message::of("learning.drawing.$word"));
        }

        return $pen->drawing('lesson.square_to_light');
    }
}
