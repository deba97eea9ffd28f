<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A centre lathe from the front, its parts by name, the stop before all else. */
final class LatheParts extends PlainDrawing
{
    public static function name(): string
    {
        return 'lathe_parts';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(7.0);
        $pen->area(Style::Outline, [[0, 0], [230, 0], [230, 14], [0, 14]]);
        $pen->area(Style::Outline, [[0, 14], [52, 14], [52, 78], [0, 78]]);
        $pen->area(Style::Outline, [[52, 38], [70, 38], [70, 66], [52, 66]]);
        foreach ([42, 52, 62] as $y) {
            $pen->area(Style::Tool, [[70, $y - 3], [80, $y - 3], [80, $y + 3], [70, $y + 3]]);
        }
        $pen->area(Style::Outline, [[96, 14], [138, 14], [138, 30], [96, 30]]);
        $pen->area(Style::Outline, [[106, 30], [128, 30], [128, 38], [106, 38]]);
        $pen->area(Style::Outline, [[110, 38], [124, 38], [124, 48], [110, 48]]);
        $pen->area(Style::Outline, [[184, 14], [226, 14], [222, 64], [188, 64]]);
        $pen->area(Style::Tool, [[160, 47], [188, 47], [188, 57], [160, 57]]);
        $pen->line(Style::Centre, 60, 52, 235, 52);
        $pen->circle(Style::Fault, 14, 66, 5);
        $named = [
            'lathe_headstock' => [26, 84], 'lathe_chuck' => [74, 72], 'lathe_saddle' => [117, -9], 'lathe_cross_slide' => [117, 54],
            'lathe_tailstock' => [205, 70], 'lathe_ways' => [190, -9], 'stop_switch' => [30, -9],
        ];
        foreach ($named as $key => [$x, $y]) {
            $pen->text($x, $y, Message::of("learning.drawing.$key"));
        }

        return $pen->drawing('lesson.lathe_parts');
    }
}
