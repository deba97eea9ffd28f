<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Marks measured each from the datum, and from one another: the small errors of a chain add up, shown larger than they are. */
final class ChainError extends LessonDrawing
{
    private const STEPS = 5;

    private const PITCH = 24.0;

    /** What one step is off, drawn far larger. */
    private const SHOWN = 1.6;

    public static function name(): string
    {
        return 'chain_error';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function wantsPart(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.2);
        foreach ([0, 1] as $row) {
            $y = -$row * 34.0;
            $pen->line(Style::Outline, 0, $y - 8, 0, $y + 8);
            for ($i = 1; $i <= self::STEPS; $i++) {
                $true = $i * self::PITCH;
                $off = $row === 0 ? self::SHOWN : $i * self::SHOWN;
                $pen->line(Style::Hidden, $true, $y - 6, $true, $y + 6);
                $pen->line($row === 0 ? Style::Tool : Style::Fault, $true + $off, $y - 6, $true + $off, $y + 6);
                $from = $row === 0 ? 0.0 : ($i - 1) * (self::PITCH + self::SHOWN);
                $at = $row === 0 ? $y + 8 - 2.6 * $i : $y;
                $pen->line(Style::Dimension, $from, $at, $true + $off, $at);
            }
            $pen->text(self::STEPS * self::PITCH / 2, $y - 8 - $pen->letters(1.6), Message::of(
                $row === 0 ? 'learning.drawing.from_datum' : 'learning.drawing.chained',
            ));
        }

        return $pen->drawing('lesson.chain_error');
    }
}
