<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A prick punch and a centre punch with the cones that they leave. */
final class PunchAngles extends LessonDrawing
{
    private const WIDE = 10.0;

    public static function name(): string
    {
        return 'punch_angles';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.2);
        foreach ([[0.0, 60, 'prick_60'], [56.0, 90, 'centre_90']] as [$x, $deg, $word]) {
            $deep = self::WIDE / 2 / tan(deg2rad($deg / 2));
            $pen->area(Style::Outline, [
                [$x - 22, 0], [$x - self::WIDE / 2, 0], [$x, -$deep], [$x + self::WIDE / 2, 0], [$x + 22, 0],
                [$x + 22, -20], [$x - 22, -20],
            ], true);
            $pen->path(Style::Tool, [
                [$x - 7, 7 / tan(deg2rad($deg / 2)) - $deep + 14], [$x - 7, 7 / tan(deg2rad($deg / 2)) - $deep], [$x, -$deep],
                [$x + 7, 7 / tan(deg2rad($deg / 2)) - $deep], [$x + 7, 7 / tan(deg2rad($deg / 2)) - $deep + 14],
            ]);
            $pen->text($x, -20 - $pen->letters(1.6), Message::of("learning.drawing.$word"));
        }

        return $pen->drawing('lesson.punch_angles');
    }
}
