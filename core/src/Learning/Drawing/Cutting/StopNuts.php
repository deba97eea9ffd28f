<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The nuts of a depth stop: one alone creeps, two turned against each other stay. */
final class StopNuts extends PlainDrawing
{
    public static function name(): string
    {
        return 'stop_nuts';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 84.0] as $place => $x) {
            $pen->area(Style::Outline, [[$x - 5, 0], [$x + 5, 0], [$x + 5, 90], [$x - 5, 90]]);
            for ($y = 4; $y < 88; $y += 6) {
                $pen->line(Style::Thread, $x - 5, $y, $x + 5, $y + 2.5);
            }
            foreach ($place === 0 ? [40] : [40, 52] as $y) {
                $pen->area(
                    $place === 0 ? Style::Fault : Style::Tool,
                    [[$x - 14, $y], [$x + 14, $y], [$x + 14, $y + 10], [$x - 14, $y + 10]],
                );
            }
            $pen->area(Style::Outline, [[$x - 26, 26], [$x - 7, 26], [$x - 7, 36], [$x - 26, 36]], true);
            $pen->text($x, -$pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'nut_creeps' : 'nuts_locked')));
        }

        return $pen->drawing('lesson.stop_nuts');
    }
}
