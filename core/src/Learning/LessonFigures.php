<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ChipSchool;
use MillStep\Core\Workshop\Holding\Reaction;

/** The figures that a lesson may bind to, for one hole on one machine from one crib. */
final class LessonFigures
{
    /** Until a hand lets go, in seconds: the usual figure of the reaction. */
    private const REACTION_S = 0.25;

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
        $figures = [...$figures, ...self::atThisMachine($hole)];
        if ($hole->pilot !== null) {
            $figures[] = Figure::drill('pilot.drill', self::name($hole->pilot), $hole->pilot->diameter ?? Length::zero(),
                'pilot.'.$hole->policy->pilotSchool->value, 'd ≥ w · D', [
                    'w' => $hole->policy->webRatio,
                    'D_mm' => $hole->diameter()->inMm(),
                ]);
            $figures = [...$figures, ...self::pass('pilot', $hole->pilot, $hole)];
        }
        if ($touch !== null) {
            $in = ['in_mm' => $hole->inside()->inMm()];
            $figures[] = Figure::length('depth.reading', $hole->readingFrom($touch), 'reading.lesson', 'reading = touch + travel − in', [
                'touch_mm' => $touch->inMm(), 'travel_mm' => $hole->travel()->inMm(), ...$in,
            ]);
            $figures[] = Figure::length('ease.reading', $hole->easeFrom($touch), 'lesson.ease', 'ease = touch + t − in', [
                'touch_mm' => $touch->inMm(), 't_mm' => $hole->thickness->inMm(), ...$in,
            ]);
        }

        return array_combine(array_map(static fn (Figure $figure): string => $figure->key, $figures), $figures);
    }

    /** @return list<Figure> what this stock, this machine and this shop's schools have to do with it */
    private static function atThisMachine(BoundHole $hole): array
    {
        $rpm = $hole->drill->rpm ?? 0.0;
        $sum = $hole->drill->figure('rpm')?->terms['n_rpm'] ?? $rpm;
        $turns = (new Reaction(max($rpm, 1.0), self::REACTION_S, Length::mm(1)))->compute()->turns;
        $speeds = $hole->machine->speeds;
        $angle = $hole->drill->figure('total_depth_mm')->terms['angle_deg'] ?? Job::USUAL_POINT_DEG;

        return [
            Figure::length('plate.thickness', $hole->thickness, 'lesson.thickness'),
            Figure::length('breakthrough', $hole->policy->breakthrough, 'lesson.breakthrough'),
            Figure::length('touch.inside', $hole->inside(), 'lesson.inside', 'in = (d / 2) / tan(angle / 2)', [
                'd_mm' => $hole->pilot?->diameter?->inMm() ?? 0.0, 'angle_deg' => $angle,
            ]),
            Figure::text('change.state', Message::of('learning.change_state.'.$hole->machine->speedChange), 'lesson.change_state', []),
            Figure::text('ribbon', Message::of($hole->policy->chipSchool === ChipSchool::EaseOff
                ? 'planning.chips.ease_off' : 'planning.chips.more_feed'), 'lesson.ribbon', []),
            Figure::text('turns', Message::of('learning.turns', ['turns' => round($turns, 1)]), 'lesson.turns', [
                'n_rpm' => $rpm, 's_s' => self::REACTION_S,
            ]),
            Figure::number('speed.sum', 'rpm', is_float($sum) ? floor($sum) : $rpm, 'lesson.sum', 'n = 1000 · v / (π · d)', [
                'v_m_min' => $hole->material->cuttingSpeedMMin, 'd_mm' => $hole->diameter()->inMm(),
            ])->teaching(),
            Figure::number('speed.above', 'rpm', $speeds->next($rpm, 1), 'lesson.above', '', ['n_rpm' => $rpm]),
            Figure::number('speed.below', 'rpm', $speeds->next($rpm, -1), 'lesson.below', '', ['n_rpm' => $rpm]),
        ];
    }

    /** @return list<Figure> speed and point of one drill going through */
    private static function pass(string $name, PlanStep $step, BoundHole $hole): array
    {
        $diameter = $step->diameter?->inMm() ?? 0.0;
        $speed = $step->figure('rpm');

        return [...($speed === null ? [] : [$speed->as("$name.speed")]), Figure::length("$name.point", self::pointLength($step), 'point',
            'point = (d / 2) / tan(angle / 2)', [
                'd_mm' => $diameter,
                'angle_deg' => $step->figure('total_depth_mm')->terms['angle_deg'] ?? Job::USUAL_POINT_DEG,
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
