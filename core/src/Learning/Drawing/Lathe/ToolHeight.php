<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A thin rule trapped between tool and bar: upright on centre, its top towards you with the tool too low. */
final class ToolHeight extends PlainDrawing
{
    public static function name(): string
    {
        return 'tool_height';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.2);
        foreach (['tool_high' => 4.5, 'tool_right' => 0.0, 'tool_low' => -4.5] as $index => $high) {
            $x = ['tool_high' => 0, 'tool_right' => 64, 'tool_low' => 128][$index];
            $pen->circle(Style::Outline, $x, 0, 14);
            $pen->centreMark($x, 0, 14);
            // The rule stands square to the line from the bar's middle to the tip that traps it.
            $touch = sqrt(14 ** 2 - $high ** 2);
            [$ux, $uy] = [$touch / 14, $high / 14];
            $pen->line(
                $high === 0.0 ? Style::Tool : Style::Fault,
                $x + $touch - $uy * 22, $high + $ux * 22,
                $x + $touch + $uy * 22, $high - $ux * 22,
            );
            $pen->area(
                Style::Tool,
                [[$x + $touch + 1, $high], [$x + $touch + 20, $high], [$x + $touch + 20, $high - 6], [$x + $touch + 3, $high - 6]],
            );
            $pen->text($x + 6, -28 - $pen->letters(1), Message::of("learning.drawing.$index"));
        }

        return $pen->drawing('lesson.tool_height');
    }
}
