<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** What lies in the tray: powder, a long ribbon, a ribbon that is blue, a pair of short even curls. */
final class ChipForms extends LessonDrawing
{
    private const APART = 34.0;

    public static function name(): string
    {
        return 'chip_forms';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.2);
        foreach (range(0, 27) as $grain) {
            // Scattered, and the same on every paper.
            $pen->circle(Style::Thin, -10 + 20 * fmod($grain * 0.618, 1), -5 + 10 * fmod($grain * 0.7548, 1), 0.45);
        }
        self::helix($pen, Style::Outline, self::APART - 13, 26, 2.4, 9);
        self::helix($pen, Style::Fault, 2 * self::APART - 13, 26, 2.4, 9);
        self::helix($pen, Style::Tool, 3 * self::APART - 12, 7, 3.2, 2);
        self::helix($pen, Style::Tool, 3 * self::APART + 3, 7, 3.2, 2);
        foreach (['powder', 'ribbon', 'blue', 'curls'] as $index => $kind) {
            $pen->text($index * self::APART, -12, Message::of("learning.drawing.chip_$kind"));
        }

        return $pen->drawing('lesson.chip_forms');
    }

    private static function helix(Pen $pen, Style $style, float $x, float $long, float $radius, int $turns): void
    {
        $points = [];
        foreach (range(0, 18 * $turns) as $i) {
            $angle = 2 * M_PI * $i / 18;
            $points[] = [$x + $long * $i / (18 * $turns) + 0.7 * $radius * (1 - cos($angle)), $radius * sin($angle)];
        }
        $pen->path($style, $points);
    }
}
