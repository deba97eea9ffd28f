<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The punch: leant over to see the point, upright to be struck. */
final class PunchUpright extends LessonDrawing
{
    public static function name(): string
    {
        return 'punch_upright';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.4);
        foreach ([[0.0, 35.0, 'lean_to_see'], [100.0, 0.0, 'stand_to_strike']] as [$x, $deg, $word]) {
            $pen->area(Style::Outline, [[$x - 34, 0], [$x + 34, 0], [$x + 34, -10], [$x - 34, -10]], true);
            $turn = static fn (float $px, float $py): array => [
                $x + $px * cos(deg2rad($deg)) + $py * sin(deg2rad($deg)), -$px * sin(deg2rad($deg)) + $py * cos(deg2rad($deg)),
            ];
            $pen->area(Style::Tool, [$turn(0, 0), $turn(4, 7), $turn(4, 46), $turn(-4, 46), $turn(-4, 7)]);
            $pen->text($x, -10 - $pen->letters(1.6), Message::of("learning.drawing.$word"));
        }
        $pen->downArrow(Style::Fault, 100, 70, 20);

        return $pen->drawing('lesson.punch_upright');
    }
}
