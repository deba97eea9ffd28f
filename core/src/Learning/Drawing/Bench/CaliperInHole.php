<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\MarkDrawing;
use MillStep\Core\Learning\PartMark;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The tips of a caliper in a hole: they are flat, and read a chord and not the diameter. */
final class CaliperInHole extends MarkDrawing
{
    private const TIPS_MM = 1.0;

    public static function name(): string
    {
        return 'caliper_in_hole';
    }

    protected static function at(PartMark $mark): Drawing
    {
        $radius = $mark->diameter->inMm() / 2;
        $tip = min(self::TIPS_MM, $radius);
        $reads = sqrt($radius ** 2 - ($tip / 2) ** 2);
        $pen = Pen::forSize(4.6 * $radius);
        $pen->circle(Style::Outline, 0, 0, $radius);
        foreach ([-1, 1] as $s) {
            $pen->area(Style::Tool, [
                [$s * $reads, -$tip / 2], [$s * $reads, $tip / 2], [$s * 0.35 * $radius, $tip / 2], [$s * 0.35 * $radius, -$tip / 2],
            ], true);
        }
        $pen->dimensionX(-$reads, 0, $reads, 0, -$radius - $pen->letters(1.6), Message::of('learning.drawing.reads'), 2 * $reads);
        $pen->dimensionX(-$radius, 0, $radius, 0, -$radius - $pen->letters(4.2), Message::of('learning.drawing.is'), 2 * $radius);

        return $pen->drawing('lesson.caliper_in_hole');
    }
}
