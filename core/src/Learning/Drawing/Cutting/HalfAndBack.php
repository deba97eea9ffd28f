<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A tap from above: half a turn on, a quarter back, and the chip is broken. */
final class HalfAndBack extends PlainDrawing
{
    public static function name(): string
    {
        return 'half_and_back';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.0);
        /** @return non-empty-list<array{float, float}> */
        $arc = static function (float $radius, float $from, float $to): array {
            $points = [[$radius * cos(deg2rad($from)), $radius * sin(deg2rad($from))]];
            for ($i = 1; $i <= 24; $i++) {
                $angle = deg2rad($from + ($to - $from) * $i / 24);
                $points[] = [$radius * cos($angle), $radius * sin($angle)];
            }

            return $points;
        };
        $pen->circle(Style::Outline, 0, 0, 8);
        $pen->area(Style::Tool, [[-44, -2], [44, -2], [44, 2], [-44, 2]]);
        $pen->path(Style::Outline, $arc(30, 100, -80));
        $pen->path(Style::Fault, $arc(20, -80, 10));
        $pen->text(38, 24, Message::of('learning.drawing.half_on'), 'start');
        $pen->text(24, -16, Message::of('learning.drawing.quarter_back'), 'start');

        return $pen->drawing('lesson.half_and_back');
    }
}
