<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Step\PlanStep;

/** A planned hole in section, to scale: the cut stock, pilot, full bore and point, thread, and how deep to read. */
final class SectionDrawing
{
    /** Null for a plan that came to no drill. */
    public static function of(PlanResult $plan, float $thicknessMm, bool $through): ?Drawing
    {
        $drill = self::last($plan, 'drill');
        if ($drill?->diameter === null || $drill->depth === null || $drill->totalDepth === null) {
            return null;
        }
        $d = $drill->diameter->inMm();
        $total = $drill->totalDepth->inMm();
        $depth = $drill->depth->inMm();
        $side = max(1.6 * $d, 0.45 * $thicknessMm);
        $pen = Pen::forSize(max($total + 0.5 * $d, 2 * $side));
        self::stock($pen, $d, $depth, $total, $thicknessMm, $side, $through);
        $pilot = $plan->first('pilot');
        if ($pilot?->diameter !== null && $pilot->totalDepth !== null) {
            $half = $pilot->diameter->inMm() / 2;
            $end = $through ? -$thicknessMm : -$pilot->totalDepth->inMm();
            $pen->line(Style::Hidden, -$half, 0, -$half, $end);
            $pen->line(Style::Hidden, $half, 0, $half, $end);
        }
        self::finished($pen, $plan, $thicknessMm);
        $top = $pen->letters(2.2);
        $pen->path(Style::Tool, [[-$d / 2, $top], [-$d / 2, -$depth], [0, -$total], [$d / 2, -$depth], [$d / 2, $top]]);
        $pen->line(Style::Centre, 0, $top + $pen->letters(1), 0, -max($total, $thicknessMm) - $pen->letters(1));
        self::dimensions($pen, $plan, $drill, $thicknessMm, $side, $top, $d, $depth, $total);

        return $pen->drawing('section');
    }

    private static function stock(Pen $pen, float $d, float $depth, float $total, float $t, float $side, bool $through): void
    {
        if ($through) {
            $pen->area(Style::Outline, [[-$side, 0], [-$d / 2, 0], [-$d / 2, -$t], [-$side, -$t]], true);
            $pen->area(Style::Outline, [[$side, 0], [$d / 2, 0], [$d / 2, -$t], [$side, -$t]], true);

            return;
        }
        $pen->area(
            Style::Outline,
            [
                [-$side, 0], [-$d / 2, 0], [-$d / 2, -$depth], [0, -$total], [$d / 2, -$depth], [$d / 2, 0], [$side, 0],
                [$side, -$t], [-$side, -$t],
            ],
            true,
        );
    }

    /** Thread or reamed bore, in thin lines as a drawing has them. */
    private static function finished(Pen $pen, PlanResult $plan, float $t): void
    {
        $finish = $plan->first('tap') ?? $plan->first('ream');
        if ($finish?->diameter === null || $finish->depth === null) {
            return;
        }
        $half = $finish->diameter->inMm() / 2;
        $end = -min($t, $finish->depth->inMm());
        $style = $finish->kind === 'tap' ? Style::Thread : Style::Thin;
        $pen->line($style, -$half, 0, -$half, $end);
        $pen->line($style, $half, 0, $half, $end);
        if ($finish->kind === 'tap') {
            $pen->line($style, -$half, $end, $half, $end);
        }
        $sink = $plan->first('countersink')?->diameter?->inMm();
        if ($sink !== null) {
            $deep = ($sink / 2 - $half) + 0.3 * $half;
            $pen->path(Style::Thin, [[-$sink / 2, 0], [-$half * 0.7, -$deep], [$half * 0.7, -$deep], [$sink / 2, 0]]);
        }
    }

    private static function dimensions(
        Pen $pen,
        PlanResult $plan,
        PlanStep $drill,
        float $t,
        float $side,
        float $top,
        float $d,
        float $depth,
        float $total,
    ): void {
        $left = -$side;
        $pen->dimensionY($left, 0, $left, -$t, $left - $pen->letters(1.8));
        $pen->dimensionY($side, 0, 0, -$total, $side + $pen->letters(4));
        $pen->dimensionY($side, 0, $d / 2, -$depth, $side + $pen->letters(1.8));
        $pen->dimensionX(-$d / 2, $top, $d / 2, $top, $top + $pen->letters(0.8), '⌀ ');
        $foot = -max($total, $t) - $pen->letters(2.4);
        $lines = [];
        $pilot = $plan->first('pilot');
        if ($pilot?->diameter !== null) {
            $lines[] = ['pilot ⌀ ', $pilot->diameter->inMm()];
        }
        $finish = $plan->first('tap') ?? $plan->first('ream');
        if ($finish?->diameter !== null && $finish->depth !== null) {
            $lines[] = [
                $finish->kind === 'tap' ? 'thread, full for ' : 'reamed ⌀ ',
                $finish->kind === 'tap' ? $finish->depth->inMm() : $finish->diameter->inMm(),
            ];
        }
        $lines[] = ['point ', $total - $depth];
        foreach ($lines as $index => [$words, $length]) {
            $pen->text(0, $foot - $index * $pen->letters(1.5), $words, 'middle', $length);
        }
        if ($drill->scale !== null) {
            $pen->text(0, $foot - count($lines) * $pen->letters(1.5), 'scale: '.$drill->scale.' from the touch');
        }
    }

    private static function last(PlanResult $plan, string $kind): ?PlanStep
    {
        $found = array_values(
            array_filter($plan->operations, static fn (PlanStep $step): bool => $step->kind === $kind && $step->totalDepth !== null),
        );

        return $found === [] ? null : $found[count($found) - 1];
    }
}
