<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A hand drill from above: one hand on the grip alone is turned, the side handle takes the twist on a long arm. */
final class WristTurn extends PlainDrawing
{
    public static function name(): string
    {
        return 'wrist_turn';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 120.0] as $place => $x) {
            $pen->circle(Style::Outline, $x, 0, 9);
            $pen->area(Style::Tool, [[$x - 5, -9], [$x + 5, -9], [$x + 7, -46], [$x - 7, -46]]);
            if ($place === 1) {
                $pen->area(Style::Tool, [[$x - 9, -4], [$x - 58, -4], [$x - 58, 4], [$x - 9, 4]]);
            }
            $arc = [[$x, -30.0]];
            for ($i = 1; $i <= 20; $i++) {
                $angle = deg2rad(-90 + ($place === 0 ? 120 : 30) * $i / 20);
                $arc[] = [$x + 30 * cos($angle), 30 * sin($angle)];
            }
            $pen->path($place === 0 ? Style::Fault : Style::Thin, $arc);
            $pen->text($x, -46 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'grip_alone' : 'side_handle')));
        }

        return $pen->drawing('lesson.wrist_turn');
    }
}
