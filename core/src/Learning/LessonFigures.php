<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Planning\DrillPass;
use MillStep\Core\Planning\ThroughHolePlan;

/** The figures that a lesson may bind to, for one hole on one machine from one crib. */
final class LessonFigures
{
    /**
     * @param  Length|null  $touch  the scale's reading with the tip on the plate, once the learner has read it
     * @return array<string, Figure> by key
     */
    public static function ofThroughHole(ThroughHolePlan $plan, ?Length $touch): array
    {
        $final = $plan->final();
        $figures = [
            Figure::drill('final.drill', $final->drill->designation, $final->drill->diameter, 'final', '', []),
            self::speed('final.speed', $final, $plan),
            self::point('final.point', $final, $plan),
            Figure::text('lubricant', $plan->material->lubricant, 'lubricant', ['material' => $plan->material->name]),
            Figure::length('travel', $plan->travel(), 'travel', 'travel = t + point + b', [
                't_mm' => $plan->thickness->inMm(),
                'point_mm' => $final->pointLength->inMm(),
                'b_mm' => $plan->policy->breakthrough->inMm(),
            ]),
        ];
        $pilot = $plan->pilot();
        if ($pilot !== null) {
            $figures[] = Figure::drill('pilot.drill', $pilot->drill->designation, $pilot->drill->diameter, 'pilot.'.$plan->pilots->reason->value, 'd ≥ w · D', [
                'w' => $plan->policy->webRatio,
                'D_mm' => $final->drill->diameter->inMm(),
            ]);
            $figures[] = self::speed('pilot.speed', $pilot, $plan);
            $figures[] = self::point('pilot.point', $pilot, $plan);
        }
        if ($touch !== null) {
            $figures[] = Figure::length('depth.reading', $plan->readingFrom($touch), 'reading', 'reading = touch + travel', [
                'touch_mm' => $touch->inMm(),
                'travel_mm' => $plan->travel()->inMm(),
            ]);
        }

        return array_combine(array_map(static fn (Figure $figure): string => $figure->key, $figures), $figures);
    }

    private static function speed(string $key, DrillPass $pass, ThroughHolePlan $plan): Figure
    {
        return Figure::speed($key, $pass->speed->chosenRpm, 'speed.'.$pass->speed->verdict->value, 'n = 1000 · v · f / (π · d)', [
            'v_m_min' => $plan->material->cuttingSpeedMMin,
            'f' => $pass->speedFactor,
            'd_mm' => $pass->drill->diameter->inMm(),
            'n_rpm' => $pass->speed->targetRpm,
        ]);
    }

    private static function point(string $key, DrillPass $pass, ThroughHolePlan $plan): Figure
    {
        return Figure::length($key, $pass->pointLength, 'point', 'point = (d / 2) / tan(angle / 2)', [
            'd_mm' => $pass->drill->diameter->inMm(),
            'angle_deg' => $plan->material->pointAngleDeg,
        ]);
    }
}
