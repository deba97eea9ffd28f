<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The bar and every pass down to size, to scale; the last one is the light one. */
final class TurnPasses extends CaseDrawing
{
    public static function name(): string
    {
        return 'turn_passes';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $case = $scene->case();
        $step = $case->steps()['turn'] ?? null;
        if ($step === null || $case->bar === null || $step->passes === []) {
            return null;
        }
        $bar = $case->bar->inMm();
        $long = 0.9 * $bar;
        $pen = Pen::forSize(1.8 * $bar);
        $pen->area(Style::Outline, [[0, -$bar / 2], [$long, -$bar / 2], [$long, $bar / 2], [0, $bar / 2]]);
        $pen->line(Style::Centre, -$pen->letters(1), 0, $long + $pen->letters(1), 0);
        foreach ($step->passes as $index => $pass) {
            $half = $pass->inMm() / 2;
            $last = $index === count($step->passes) - 1;
            foreach ([1, -1] as $side) {
                $pen->line($last ? Style::Tool : Style::Hidden, 0.25 * $bar, $side * $half, $long, $side * $half);
            }
        }
        $end = $step->passes[count($step->passes) - 1]->inMm();
        $pen->dimensionY($long, $end / 2, $long, -$end / 2, $long + $pen->letters(2.2), '⌀ ', $end);
        $pen->dimensionY(0, $bar / 2, 0, -$bar / 2, -$pen->letters(1.8), '⌀ ', $bar);

        return $pen->drawing('lesson.turn_passes');
    }
}
