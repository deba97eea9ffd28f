<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Five taps and their leads: taper, second, bottoming, spiral point, spiral flute, with where each sends its chips. */
final class TapKinds extends PlainDrawing
{
    public static function name(): string
    {
        return 'tap_kinds';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        $place = -1;
        foreach (['taper' => 26, 'second' => 14, 'bottoming' => 5, 'spiral_point' => 14, 'spiral_flute' => 8] as $name => $lead) {
            $place++;
            $x = 46.0 * $place;
            $pen->area(Style::Tool, [[$x - 8, 60], [$x - 8, $lead], [$x - 5, 0], [$x + 5, 0], [$x + 8, $lead], [$x + 8, 60]]);
            $pen->area(Style::Outline, [[$x - 4, 60], [$x + 4, 60], [$x + 4, 84], [$x - 4, 84]]);
            for ($y = $lead; $y < 58; $y += 6) {
                $pen->line(Style::Thread, $x - 8, $y, $x + 8, $y + 2.5);
            }
            match ($name) {
                'spiral_point' => $pen->downArrow(Style::Fault, $x + 15, 20, 22),
                'spiral_flute' => $pen->upArrow(Style::Fault, $x + 15, 24, 24),
                default => null,
            };
            $pen->text($x, -5 - $pen->letters($place % 2 === 1 ? 3.4 : 1.8),
                Message::of("learning.drawing.tap_$name"));
        }

        return $pen->drawing('lesson.tap_kinds');
    }
}
