<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A bar that stands out of the back of the spindle: still it looks straight, turning it whips. */
final class RearWhip extends PlainDrawing
{
    public static function name(): string
    {
        return 'rear_whip';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(6.0);
        $pen->area(Style::Outline, [[0, -16], [60, -16], [60, 16], [0, 16]]);
        $pen->area(Style::Tool, [[-90, -4], [84, -4], [84, 4], [-90, 4]]);
        $bow = [[0.0, 0.0]];
        for ($i = 1; $i <= 12; $i++) {
            $bow[] = [-90 * $i / 12, 26 * ($i / 12) ** 2];
        }
        $pen->path(Style::Fault, $bow);
        $pen->path(Style::Fault, array_map(static fn (array $point): array => [$point[0], -$point[1]], $bow));
        $pen->area(Style::Outline, [[-72, -9], [-64, -9], [-64, -40], [-72, -40]]);
        $pen->text(30, 20, Message::of('learning.drawing.lathe_headstock'));
        $pen->text(-66, 30, Message::of('learning.drawing.whips'));
        $pen->text(-46, -38, Message::of('learning.drawing.carried_guarded'), 'start');

        return $pen->drawing('lesson.rear_whip');
    }
}
