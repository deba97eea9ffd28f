<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Both lips of a drill in the work: two equal chips from a true start, one long and one thin from a crooked one. */
final class TwoChips extends PlainDrawing
{
    public static function name(): string
    {
        return 'two_chips';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 110.0] as $place => $x) {
            $pen->area(
                Style::Outline,
                [[$x - 34, 0], [$x - 15, 0], [$x, -9], [$x + 15, 0], [$x + 34, 0], [$x + 34, -32], [$x - 34, -32]],
                true,
            );
            $pen->path(Style::Tool, [[$x - 15, 34], [$x - 15, 0], [$x, -9], [$x + 15, 0], [$x + 15, 34]]);
            foreach ([-1, 1] as $side) {
                $wide = $place === 0 || $side === -1 ? 6.0 : 2.0;
                $curl = [[$x + $side * 18, 4 + $wide]];
                for ($i = 1; $i <= 24; $i++) {
                    $curl[] = [$x + $side * (18 + $i * 0.9) + $wide * sin($i / 2), 4 + $i * 1.1 + $wide * cos($i / 2)];
                }
                $pen->path($place === 0 ? Style::Thin : Style::Fault, $curl);
            }
            $pen->text($x, -32 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'two_equal_chips' : 'one_thin_chip')));
        }

        return $pen->drawing('lesson.two_chips');
    }
}
