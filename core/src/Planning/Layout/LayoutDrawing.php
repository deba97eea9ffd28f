<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The plate from above, to scale: holes with their names, dimensioned from the datum; the ones too near an edge marked. */
final class LayoutDrawing
{
    /** More lines than that would hide the plate; the table beside it has them all. */
    private const MOST_DIMENSIONS = 8;

    public static function of(LayoutPlan $wanted, LayoutResult $layout): Drawing
    {
        $length = $wanted->length->inMm();
        $width = $wanted->width->inMm();
        $radius = $wanted->hole->inMm() / 2;
        $pen = Pen::forSize(max($length, 1.4 * $width));
        $pen->area(Style::Outline, [[0, 0], [$length, 0], [$length, $width], [0, $width]]);
        foreach ($layout->holes as $hole) {
            $x = $hole->x->inMm();
            $y = $hole->y->inMm();
            $pen->circle($hole->edgeOk ? Style::Outline : Style::Fault, $x, $y, $radius);
            $pen->centreMark($x, $y, $radius);
            $pen->text($x + $radius + $pen->letters(0.3), $y + $radius * 0.4 + $pen->letters(0.3), $hole->name, 'start');
        }
        if ($wanted->datum === 'centre') {
            $pen->line(Style::Centre, $length / 2, -$pen->letters(1), $length / 2, $width + $pen->letters(1));
            $pen->line(Style::Centre, -$pen->letters(1), $width / 2, $length + $pen->letters(1), $width / 2);
        }
        self::dimensions($pen, $wanted, $layout, $length, $width);

        return $pen->drawing('layout');
    }

    private static function dimensions(Pen $pen, LayoutPlan $wanted, LayoutResult $layout, float $length, float $width): void
    {
        [$zeroX, $zeroY] = $wanted->datum === 'corner' ? [0.0, 0.0] : [$length / 2, $width / 2];
        $xs = self::distinct(array_map(static fn (LayoutHole $hole): array => [$hole->x->inMm(), $hole->y->inMm()], $layout->holes), 0);
        $ys = self::distinct(array_map(static fn (LayoutHole $hole): array => [$hole->x->inMm(), $hole->y->inMm()], $layout->holes), 1);
        $level = 1.6;
        foreach (array_slice(array_filter($xs, static fn (array $at): bool => abs($at[0] - $zeroX) > 1e-6), 0,
            self::MOST_DIMENSIONS) as [$x, $y]) {
            $pen->dimensionX($zeroX, 0, $x, min($y, 0.0), -$pen->letters($level));
            $level += 1.6;
        }
        $pen->dimensionX(0, 0, $length, 0, -$pen->letters($level));
        $level = 1.6;
        foreach (array_slice(array_filter($ys, static fn (array $at): bool => abs($at[1] - $zeroY) > 1e-6), 0, self::MOST_DIMENSIONS) as [,
            $y]) {
            $pen->dimensionY(0, $zeroY, 0, $y, -$pen->letters($level));
            $level += 1.6;
        }
        $pen->dimensionY(0, 0, 0, $width, -$pen->letters($level));
        $pen->text($length, $width + $pen->letters(0.8), sprintf('%d × ⌀ ', $layout->count), 'end', $wanted->hole->inMm());
    }

    /**
     * One point for each different coordinate, in order.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function distinct(array $points, int $axis): array
    {
        usort($points, static fn (array $a, array $b): int => $a[$axis] <=> $b[$axis]);
        $found = [];
        foreach ($points as $point) {
            if ($found === [] || abs($found[count($found) - 1][$axis] - $point[$axis]) > 1e-6) {
                $found[] = $point;
            }
        }

        return $found;
    }
}
