<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Measure\DrillGrindCheck;
use MillStep\Core\Measure\GrindCheck;

/** A drill's point from the side, to scale: two lips as they were measured, the dead point beside the axis where they differ. */
final class GrindDrawing
{
    public static function of(DrillGrindCheck $drill, GrindCheck $found): Drawing
    {
        [$left, $right] = [$drill->reachA()->inMm(), $drill->reachB()->inMm()];
        $leftHigh = $drill->lipA->inMm() * cos(deg2rad($drill->angleADeg));
        $rightHigh = $drill->lipB->inMm() * cos(deg2rad($drill->angleBDeg));
        $half = ($left + $right) / 2;
        $dead = $left - $half;
        $top = max($leftHigh, $rightHigh) + $drill->diameter->inMm();
        $pen = Pen::forSize(max(2 * $half, $top));
        $pen->path(Style::Outline, [[-$half, $top], [-$half, $leftHigh], [$dead, 0], [$half, $rightHigh], [$half, $top]]);
        $pen->line(Style::Centre, 0, -$pen->letters(1.5), 0, $top + $pen->letters(0.5));
        if (abs($dead) > 1e-6) {
            $pen->line(Style::Fault, $dead, -$pen->letters(1), $dead, $leftHigh);
            $pen->dimensionX(0, 0, $dead, 0, -$pen->letters(2), '', $found->offset->inMm());
        }
        $pen->dimensionX(-$half, $top, $half, $top, $top + $pen->letters(1.6), '⌀ ', $found->hole->inMm());

        return $pen->drawing('grind');
    }
}
