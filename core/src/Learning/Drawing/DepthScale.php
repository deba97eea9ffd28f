<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Measure\Scale;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A machine's own depth scale, upright, in its own lines: how both drawings of it are laid out. */
final class DepthScale
{
    /** Every so many lines has its number. */
    private const NAMED = 5;

    /** Lines above and below what is shown. */
    private const BEYOND = 3;

    public static function draw(Pen $pen, Scale $scale, Length $from, Length $to): void
    {
        $line = $scale->graduation->inMm();
        $first = max(0, (int) floor($from->inMm() / $line) - self::BEYOND);
        $last = (int) ceil($to->inMm() / $line) + self::BEYOND;
        $wide = $pen->letters(6);
        $pen->area(Style::Outline, [
            [0, -$last * $line - $pen->letters(1)], [$wide, -$last * $line - $pen->letters(1)],
            [$wide, -$first * $line + $pen->letters(1)], [0, -$first * $line + $pen->letters(1)],
        ]);
        for ($i = $first; $i <= $last; $i++) {
            $named = $i % self::NAMED === 0;
            $pen->line($named ? Style::Outline : Style::Thin, $wide, -$i * $line, $wide - $pen->letters($named ? 2.2 : 1.2), -$i * $line);
            if ($named) {
                $number = preg_replace('/ \S+$/', '', $scale->name(Length::mm($i * $line)));
                $pen->text($wide - $pen->letters(2.6), -$i * $line - $pen->letters(0.35), $number ?? '', 'end');
            }
        }
    }

    /** A pointer at a reading, with what it is. */
    public static function point(Pen $pen, Style $style, Length $reading): void
    {
        $x = $pen->letters(6.3);
        $y = -$reading->inMm();
        $back = $x + $pen->letters(1.6);
        $pen->area($style, [[$x, $y], [$back, $y + $pen->letters(0.6)], [$back, $y - $pen->letters(0.6)]]);
    }

    /** Letters as high as two lines, so that neighbouring numbers never touch. */
    public static function pen(Scale $scale, Length $from, Length $to): Pen
    {
        return new Pen(max(1.6 * $scale->graduation->inMm(), ($to->inMm() - $from->inMm()) / 16));
    }
}
