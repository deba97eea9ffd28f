<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A thread that a turning spindle has caught: each turn takes up its whole way round. */
final class WoundUp extends LessonDrawing
{
    private const SPINDLE = 12.0;

    private const TURNS = 3;

    public static function name(): string
    {
        return 'wound_up';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.0);
        $points = [];
        foreach (range(0, 36 * self::TURNS) as $i) {
            $angle = -2 * M_PI * $i / 36;
            $radius = self::SPINDLE + 2.2 * $i / 36;
            $points[] = [$radius * cos($angle), $radius * sin($angle)];
        }
        $pen->circle(Style::Tool, 0, 0, self::SPINDLE);
        $pen->path(Style::Fault, [...$points, [self::SPINDLE + 2.2 * self::TURNS, 26], [70, 40]]);
        $pen->text(70, 40 + $pen->letters(0.6), Message::of('learning.drawing.sleeve'));
        $pen->text(0, -self::SPINDLE - 2.2 * self::TURNS - $pen->letters(1.8), Message::of('learning.drawing.spindle_turns'));

        return $pen->drawing('lesson.wound_up');
    }
}
