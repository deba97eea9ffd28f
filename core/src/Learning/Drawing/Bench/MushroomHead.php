<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The head of a punch: sound, and rolled over by many blows. */
final class MushroomHead extends LessonDrawing
{
    public static function name(): string
    {
        return 'mushroom_head';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.4);
        $pen->area(Style::Tool, [[-6, -30], [6, -30], [6, 8], [5, 10], [-5, 10], [-6, 8]]);
        $x = 46;
        $pen->area(Style::Fault, [
            [$x - 6, -30], [$x + 6, -30], [$x + 6, 2], [$x + 12, -1], [$x + 14, 3], [$x + 9, 9],
            [$x - 9, 9], [$x - 14, 3], [$x - 12, -1], [$x - 6, 2],
        ]);
        $pen->text(0, -30 - $pen->letters(1.7), Message::of('learning.drawing.head_sound'));
        $pen->text($x, -30 - $pen->letters(1.7), Message::of('learning.drawing.head_rolled'));

        return $pen->drawing('lesson.mushroom_head');
    }
}
