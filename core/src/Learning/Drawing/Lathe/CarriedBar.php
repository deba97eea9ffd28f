<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A long bar carried at both ends and in its middle: chuck, steady on its turned band, live centre. */
final class CarriedBar extends CaseDrawing
{
    public static function name(): string
    {
        return 'carried_bar';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $bar = $scene->case()->bar?->inMm() ?? 25.0;
        $long = 8 * $bar;
        $half = $bar / 2;
        $pen = Pen::forSize($long);
        $pen->area(Style::Thin, [[-$bar, -1.5 * $half], [0, -1.5 * $half], [0, 1.5 * $half], [-$bar, 1.5 * $half]], true);
        $pen->area(Style::Outline, [[0, -$half], [$long, -$half], [$long, $half], [0, $half]]);
        $pen->area(Style::Tool, [[$long - 0.3 * $half, 0], [$long + $half, 0.7 * $half], [$long + 2.4 * $half, 0.7 * $half],
            [$long + 2.4 * $half, -0.7 * $half], [$long + $half, -0.7 * $half]]);
        $band = 0.55 * $long;
        $pen->area(Style::Outline, [[$band - 0.5 * $half, -0.92 * $half], [$band + 0.5 * $half, -0.92 * $half],
            [$band + 0.5 * $half, 0.92 * $half], [$band - 0.5 * $half, 0.92 * $half]]);
        foreach ([1, -1] as $side) {
            $pen->area(Style::Tool, [[$band - 0.3 * $half, $side * $half], [$band + 0.3 * $half, $side * $half],
                [$band + 0.3 * $half, $side * 2.6 * $half], [$band - 0.3 * $half, $side * 2.6 * $half]]);
        }
        $pen->line(Style::Centre, -$bar, 0, $long + 3 * $half, 0);
        $pen->text(-$half, 1.5 * $half + $pen->letters(0.8), Message::of('learning.drawing.lathe_chuck'));
        $pen->text($band, 2.6 * $half + $pen->letters(0.8), Message::of('learning.drawing.steady_on_band'));
        $pen->text($long + $half, 0.7 * $half + $pen->letters(0.8), Message::of('learning.drawing.live_centre'));

        return $pen->drawing('lesson.carried_bar');
    }
}
