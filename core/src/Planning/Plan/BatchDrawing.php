<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The bar in the chuck, cut open to scale: facing, rings and parting cuts, the bore and its point, how far it stands out. */
final class BatchDrawing
{
    public static function of(LathePlan $wanted, PlanResult $plan): Drawing
    {
        $bar = $wanted->bar->inMm();
        $batch = $plan->batch ?? [];
        $overhang = is_float($batch['overhang_mm'] ?? null) ? $batch['overhang_mm'] : $wanted->thickness->inMm();
        $grip = 0.6 * $bar;
        $pen = Pen::forSize(max($overhang + $grip, 1.8 * $bar));
        // From the chuck's jaws at 0 to the bar's end at the right.
        $half = $bar / 2;
        foreach ([1, -1] as $side) {
            $pen->area(
                Style::Thin,
                [[-$grip, $side * $half], [0, $side * $half], [0, $side * ($half + 0.35 * $bar)], [-$grip, $side * ($half + 0.35 * $bar)]],
                true,
            );
        }
        $pen->area(Style::Outline, [[-$grip, -$half], [$overhang, -$half], [$overhang, $half], [-$grip, $half]]);
        $pen->line(Style::Centre, -$grip - $pen->letters(1), 0, $overhang + $pen->letters(1.5), 0);
        $face = $overhang - $wanted->facing->inMm();
        $pen->line(Style::Thin, $face, -$half, $face, $half);
        if ($wanted->partsOff) {
            self::rings($pen, $wanted, $plan, $face);
        }
        self::bore($pen, $plan, $face, -$half - 0.35 * $bar - $pen->letters(2));
        if ($wanted->outside !== null && ! $wanted->outside->equals($wanted->bar)) {
            $outside = $wanted->outside->inMm() / 2;
            $end = $face - (is_float($batch['bar_used_mm'] ?? null) ? $batch['bar_used_mm'] - $wanted->facing->inMm()
                : $wanted->thickness->inMm());
            $pen->line(Style::Hidden, $face, $outside, $end, $outside);
            $pen->line(Style::Hidden, $face, -$outside, $end, -$outside);
        }
        $pen->dimensionX(0, -$half, $overhang, -$half, -$half - 0.35 * $bar - $pen->letters(3.8),
            Message::of('planning.drawing.stands_out'));
        $pen->dimensionY($overhang, $half, $overhang, -$half, $overhang + $pen->letters(2.2), '⌀ ', $bar);

        return $pen->drawing('batch');
    }

    private static function rings(Pen $pen, LathePlan $wanted, PlanResult $plan, float $face): void
    {
        $half = $wanted->bar->inMm() / 2;
        $move = is_float($plan->batch['move_mm'] ?? null) ? $plan->batch['move_mm'] : 0.0;
        $blade = $wanted->blade->inMm();
        for ($ring = 0; $ring < $wanted->count; $ring++) {
            // Each move: the ring first, with what is left to clean up, then the blade.
            $cut = $face - ($ring + 1) * $move;
            $pen->area(Style::Thin, [[$cut, -$half], [$cut + $blade, -$half], [$cut + $blade, $half], [$cut, $half]], true);
        }
        $pen->dimensionX($face - $move, $half, $face, $half, $half + $pen->letters(1.6), Message::of('planning.drawing.move'));
    }

    /** @param  float  $below  where the jaws end, and dimensions begin */
    private static function bore(Pen $pen, PlanResult $plan, float $face, float $below): void
    {
        $drill = null;
        foreach ($plan->operations as $step) {
            $drill = $step->kind === 'drill' && $step->totalDepth !== null ? $step : $drill;
        }
        $centre = $plan->first('centre');
        if ($drill?->diameter === null || $drill->depth === null || $drill->totalDepth === null) {
            if ($centre?->totalDepth !== null && $centre->diameter !== null) {
                $mouth = $centre->diameter->inMm() / 2;
                $deep = $centre->totalDepth->inMm();
                $pen->path(Style::Tool, [[$face, $mouth], [$face - $deep, 0.2 * $mouth], [$face - $deep, -0.2 * $mouth], [$face, -$mouth]]);
            }

            return;
        }
        $radius = $drill->diameter->inMm() / 2;
        $depth = $face - $drill->depth->inMm();
        $tip = $face - $drill->totalDepth->inMm();
        $pen->path(Style::Tool, [[$face, $radius], [$depth, $radius], [$tip, 0], [$depth, -$radius], [$face, -$radius]]);
        $pen->dimensionX($tip, 0, $face, -$radius, $below, Message::of('planning.drawing.drill_to'), $drill->totalDepth->inMm());
    }
}
