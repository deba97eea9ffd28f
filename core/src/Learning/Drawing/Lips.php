<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Two points of this drill, to scale: lips of one length, and one lip longer, its dead point off the middle. */
final class Lips extends LessonDrawing
{
    /** So much of the diameter further out: enough to be seen at arm's length. */
    private const UNEVEN = 0.08;

    public static function name(): string
    {
        return 'lips';
    }

    public static function tells(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $d = $hole->diameter()->inMm();
        $point = $hole->pointLength()->inMm();
        $pen = Pen::forSize(3.4 * $d);
        self::drill($pen, 0, $d, $point, 0, Style::Tool);
        self::drill($pen, 1.8 * $d, $d, $point, self::UNEVEN * $d, Style::Fault);
        $pen->text(0, -$point - $pen->letters(2), Message::of('learning.drawing.lips_even'));
        $pen->text(1.8 * $d, -$point - $pen->letters(2), Message::of('learning.drawing.lips_uneven'));

        return $pen->drawing('lesson.lips');
    }

    private static function drill(Pen $pen, float $x, float $d, float $point, float $off, Style $style): void
    {
        // Both lips at one angle: the longer one begins higher up the flank.
        $slope = $point / ($d / 2);
        $pen->path($style, [
            [$x - $d / 2, 0.9 * $d], [$x - $d / 2, -$point + $slope * ($d / 2 + $off)], [$x + $off, -$point],
            [$x + $d / 2, -$point + $slope * ($d / 2 - $off)], [$x + $d / 2, 0.9 * $d],
        ]);
        $pen->line(Style::Centre, $x, -$point - $pen->letters(0.8), $x, $d);
    }
}
