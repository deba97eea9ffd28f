<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A mark that lies off the lines is drawn back: the punch's head leans away from where it should be, so that the blow goes there. */
final class MarkDrawnBack extends LessonDrawing
{
    public static function name(): string
    {
        return 'mark_drawn_back';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.2);
        $pen->area(Style::Outline, [[-30, 0], [2, 0], [6, -4], [10, 0], [34, 0], [34, -14], [-30, -14]], true);
        $pen->line(Style::Centre, 0, -18, 0, 16);
        $turn = static fn (float $px, float $py): array => [
            6 + $px * cos(deg2rad(30)) + $py * sin(deg2rad(30)), -4 - $px * sin(deg2rad(30)) + $py * cos(deg2rad(30)),
        ];
        $pen->area(Style::Tool, [$turn(0, 0), $turn(3.4, 6), $turn(3.4, 34), $turn(-3.4, 34), $turn(-3.4, 6)]);
        $pen->dimensionX(0, 0, 6, -4, -18, '', 0.3);
        $pen->text(2, -14 - $pen->letters(4), Message::of('learning.drawing.aim_at_middle'));

        return $pen->drawing('lesson.mark_drawn_back');
    }
}
