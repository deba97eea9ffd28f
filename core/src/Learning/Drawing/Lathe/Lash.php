<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Screw and nut of a slide: the play between them, taken up by coming from one side. */
final class Lash extends PlainDrawing
{
    public static function name(): string
    {
        return 'lash';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 110.0] as $place => $x) {
            $pen->path(Style::Outline, self::thread($x, 0.0, 1));
            $pen->path(Style::Tool, self::thread($x + ($place === 0 ? 3.0 : 0.0), 9.0, 1));
            $place === 0 ? $pen->line(Style::Fault, $x + 20, 2, $x + 23, 8) : $pen->upArrow(Style::Thin, $x + 33, -12, 8);
            $pen->text($x + 34, -14 - $pen->letters(1.6), Message::of('learning.drawing.'.($place === 0 ? 'lash_open' : 'lash_taken')));
        }
        $pen->text(34, 22, Message::of('learning.drawing.lash_nut'));
        $pen->text(144, 22, Message::of('learning.drawing.lash_nut'));

        return $pen->drawing('lesson.lash');
    }

    /** @return non-empty-list<array{float, float}> */
    private static function thread(float $x, float $y, int $up): array
    {
        $points = [[$x, $y]];
        for ($i = 0; $i < 4; $i++) {
            $points[] = [$x + 16 * $i + 6, $y];
            $points[] = [$x + 16 * $i + 10, $y + $up * 6];
            $points[] = [$x + 16 * $i + 14, $y + $up * 6];
            $points[] = [$x + 16 * $i + 18, $y];
        }

        return $points;
    }
}
