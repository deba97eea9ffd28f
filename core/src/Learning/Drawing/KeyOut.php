<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The chuck with its key left in, and with the key on its hook. */
final class KeyOut extends LessonDrawing
{
    private const BODY = 40.0;

    public static function name(): string
    {
        return 'key_out';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function tells(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        self::chuck($pen, 0);
        self::key($pen, Style::Fault, self::BODY / 2, 22);
        self::chuck($pen, 130);
        $pen->line(Style::Outline, 190, 52, 190, 46);
        self::key($pen, Style::Tool, 184, 40);
        $pen->text(10, -28, Message::of('learning.drawing.key_in'));
        $pen->text(150, -28, Message::of('learning.drawing.key_on_hook'));

        return $pen->drawing('lesson.key_out');
    }

    private static function chuck(Pen $pen, float $x): void
    {
        $half = self::BODY / 2;
        $pen->area(Style::Outline, [[$x - $half, 45], [$x + $half, 45], [$x + $half, 8], [$x + 8, -6], [$x - 8, -6], [$x - $half, 8]]);
        $pen->circle(Style::Outline, $x + $half - 4, 22, 2.5);
        $pen->area(Style::Thin, [[$x - 3, -6], [$x + 3, -6], [$x + 3, -20], [$x - 3, -20]]);
    }

    private static function key(Pen $pen, Style $style, float $x, float $y): void
    {
        $pen->area($style, [[$x, $y - 2], [$x + 28, $y - 2], [$x + 28, $y + 2], [$x, $y + 2]]);
        $pen->area($style, [[$x + 28, $y - 12], [$x + 32, $y - 12], [$x + 32, $y + 12], [$x + 28, $y + 12]]);
    }
}
