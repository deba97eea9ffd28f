<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Step\Drill;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Planning\Step\Section;
use MillStep\Core\Planning\Step\Steps;

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
        // A sheet is drawn without the board over it.
        $board = $drill->figure('depth_mm')->terms['board_mm'] ?? 0.0;
        $board = is_float($board) ? $board : 0.0;
        $total = $drill->totalDepth->inMm() - $board;
        $depth = $drill->depth->inMm() - $board;
        $side = max(1.6 * $d, 0.45 * $thicknessMm);
        $pen = Pen::forSize(max($total + 0.5 * $d, 2 * $side));
        self::stock($pen, $d, $depth, $total, $thicknessMm, $side, $through);
        $section = new Section($d, $depth, $total, $thicknessMm, $side, $through);
        foreach (self::drawn($plan, $drill) as $step) {
            $pen->drawsFor($step->kind);
            Steps::kind($step->kind)::draw($pen, $step, $section);
        }
        $pen->drawsFor(null);
        $top = $pen->letters(2.2);
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

    /**
     * What leaves a line in the section, each kind once: pilot, finish and lead, and the final drill over them.
     *
     * @return list<PlanStep>
     */
    private static function drawn(PlanResult $plan, PlanStep $drill): array
    {
        $finish = self::last($plan, 'tap') ?? $plan->first('ream') ?? $plan->first('bore');

        return array_values(array_filter([
            $plan->first('pilot'), $finish, $plan->first('countersink'), $plan->first('counterbore'), $plan->first('spotface'), $drill,
        ]));
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
            $lines[] = [Message::of('planning.drawing.pilot'), $pilot->diameter->inMm()];
        }
        $finish = self::last($plan, 'tap') ?? $plan->first('ream') ?? $plan->first('bore');
        if ($finish?->diameter !== null && $finish->depth !== null) {
            $lines[] = [
                Message::of(match ($finish->kind) {
                    'tap' => 'planning.drawing.thread',
                    'bore' => 'planning.drawing.bored',
                    default => 'planning.drawing.reamed',
                }),
                $finish->kind === 'tap' ? $finish->depth->inMm() : $finish->diameter->inMm(),
            ];
        }
        $lines[] = [Message::of(Drill::isSaw($drill) ? 'planning.drawing.saw_ahead' : 'planning.drawing.point'), $total - $depth];
        foreach ($lines as $index => [$words, $length]) {
            $pen->text(0, $foot - $index * $pen->letters(1.5), $words, 'middle', $length);
        }
        if ($drill->scaleReading !== null) {
            $pen->text(0, $foot - count($lines) * $pen->letters(1.5),
                Message::of('planning.drawing.scale', ['reading' => $drill->scaleReading]));
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
