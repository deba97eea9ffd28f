<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The end of a bar in a V-block: scribed, turned half round, scribed again; its middle lies halfway. */
final class VBlockHalves extends LessonDrawing
{
    /** How far the first line lies off the middle: more than anybody would be, so that it is seen. */
    private const OFF = 3.0;

    public static function name(): string
    {
        return 'v_block_halves';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.4);
        $radius = 20.0;
        $deep = $radius * sqrt(2);
        foreach ([0.0, 74.0] as $place => $x) {
            $pen->area(Style::Outline, [
                [$x - 30, -$deep], [$x - 30, -$deep + 20], [$x - 30 + 4, -$deep + 26], [$x, -$deep], [$x + 26, -$deep + 26],
                [$x + 30, -$deep + 20], [$x + 30, -$deep - 8], [$x - 30, -$deep - 8],
            ], true);
            $pen->circle(Style::Outline, $x, 0, $radius);
            $half = sqrt($radius ** 2 - self::OFF ** 2);
            $pen->line(Style::Tool, $x - $half, self::OFF, $x + $half, self::OFF);
            if ($place === 1) {
                $pen->line(Style::Fault, $x - $half, -self::OFF, $x + $half, -self::OFF);
                $pen->line(Style::Centre, $x - $radius - 4, 0, $x + $radius + 4, 0);
            }
            $pen->text($x, -$deep - 8 - $pen->letters(1.7), Message::of('learning.drawing.'.($place === 0 ? 'first_line' : 'half_turn')));
        }

        return $pen->drawing('lesson.v_block_halves');
    }
}
