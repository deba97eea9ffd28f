<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Learning\Drawing\MarkDrawing;
use MillStep\Core\Learning\PartMark;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Dividers set to the inset, stepped in from both edges: both arcs cross in the mark. */
final class DividersInset extends MarkDrawing
{
    public static function name(): string
    {
        return 'dividers_inset';
    }

    protected static function at(PartMark $mark): Drawing
    {
        [$x, $y] = [$mark->x->inMm(), $mark->y->inMm()];
        $side = 2.4 * max($x, $y);
        $pen = Pen::forSize($side);
        $pen->path(Style::Tool, [[0, $side * 0.8], [0, 0], [$side, 0]]);
        $pen->line(Style::Thin, $x, 0, $x, $side * 0.7);
        $pen->line(Style::Thin, 0, $y, $side * 0.9, $y);
        foreach ([[0.0, $y, $x, -30, 30], [$x, 0.0, $y, 60, 120]] as [$cx, $cy, $radius, $from, $to]) {
            $points = [];
            foreach (range($from, $to, 5) as $deg) {
                $points[] = [$cx + $radius * cos(deg2rad($deg)), $cy + $radius * sin(deg2rad($deg))];
            }
            $pen->path(Style::Fault, $points);
        }
        $pen->dimensionX(0, 0, $x, $y, -$pen->letters(2));
        $pen->dimensionY(0, 0, $x, $y, -$pen->letters(2));

        return $pen->drawing('lesson.dividers_inset');
    }
}
