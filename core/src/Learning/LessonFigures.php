<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Step\PlanStep;

/** The figures that a lesson may bind to, for one hole on one machine from one crib. */
final class LessonFigures
{
    /**
     * @param  Length|null  $touch  the scale's reading with the tip on the work, once the learner has read it
     * @return array<string, Figure> by key
     */
    public static function of(BoundHole $hole, ?Length $touch): array
    {
        $figures = [
            Figure::drill('final.drill', self::name($hole->drill), $hole->diameter(), 'final', '', []),
            ...self::pass('final', $hole->drill, $hole),
            Figure::text('lubricant', $hole->material->lubricant->word(), 'lubricant', ['material' => $hole->material->word()]),
            Figure::length('travel', $hole->travel(), 'travel', 'travel = t + point + b', [
                't_mm' => $hole->thickness->inMm(),
                'point_mm' => self::pointLength($hole->drill)->inMm(),
                'b_mm' => $hole->policy->breakthrough->inMm(),
            ]),
        ];
        if ($hole->pilot !== null) {
            $figures[] = Figure::drill('pilot.drill', self::name($hole->pilot), $hole->pilot->diameter ?? Length::zero(),
                'pilot.'.$hole->policy->pilotSchool->value, 'd ≥ w · D', [
                    'w' => $hole->policy->webRatio,
                    'D_mm' => $hole->diameter()->inMm(),
                ]);
            $figures = [...$figures, ...self::pass('pilot', $hole->pilot, $hole)];
        }
        if ($touch !== null) {
            $figures[] = Figure::length('depth.reading', $hole->readingFrom($touch), 'reading.lesson', 'reading = touch + travel', [
                'touch_mm' => $touch->inMm(),
                'travel_mm' => $hole->travel()->inMm(),
            ]);
        }

        return array_combine(array_map(static fn (Figure $figure): string => $figure->key, $figures), $figures);
    }

    /** @return list<Figure> speed and point of one drill going through */
    private static function pass(string $name, PlanStep $step, BoundHole $hole): array
    {
        $diameter = $step->diameter?->inMm() ?? 0.0;
        $speed = $step->figure('rpm');

        return [...($speed === null ? [] : [$speed->as("$name.speed")]), Figure::length("$name.point", self::pointLength($step), 'point',
            'point = (d / 2) / tan(angle / 2)', [
                'd_mm' => $diameter,
                'angle_deg' => $hole->material->pointAngleDeg,
            ])];
    }

    private static function pointLength(PlanStep $step): Length
    {
        return $step->totalDepth !== null && $step->depth !== null ? $step->totalDepth->minus($step->depth) : Length::zero();
    }

    /** The drill's own name, without what it is. */
    private static function name(PlanStep $step): string
    {
        $name = $step->figure('diameter_mm')?->name;

        return is_string($name) ? $name : '';
    }
}
