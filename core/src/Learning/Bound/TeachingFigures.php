<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Bound;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Lathe\CentreDrillVerdict;
use MillStep\Core\Planning\Thread\TappingTorque;
use MillStep\Core\Reference\StandardCentreDrill;

/**
 * What a master says with a number in it, worked out for the case at hand: how much warmth hides, what a tap bears, what a
 * crooked rule shows. Teaching values, each with its formula.
 */
final class TeachingFigures
{
    /** How much a metre grows for a kelvin, in millionths (handbook physics, one value for a group). */
    private const GROWS = [
        'steel' => 12.0, 'stainless' => 17.0, 'cast_iron' => 10.5, 'aluminium' => 23.0, 'copper_alloy' => 18.5, 'plastic' => 80.0,
    ];

    /** How warm it is after the cut, over the room: a reamed hole, a bar between chuck and centre, a turned ring. */
    private const WARM_K = ['hole' => 40.0, 'bar' => 50.0, 'ring' => 30.0];

    /** About the point of an ordinary drill, in diameters. */
    private const POINT = 0.3;

    /** A usual tap wrench, from hand to hand. */
    private const WRENCH_MM = 200.0;

    /** A mark so far off the top of a bar, and the rule that shows it. */
    private const OFF_MM = 0.3;

    private const RULE_MM = 150.0;

    /** @return list<Figure> */
    public static function of(BoundCase $case): array
    {
        return [
            ...self::warmth($case),
            ...self::hole($case),
            ...self::tap($case),
            ...self::dials($case),
            ...self::centre($case),
        ];
    }

    /** @return list<Figure> */
    private static function warmth(BoundCase $case): array
    {
        $grows = self::GROWS[$case->material->group] ?? null;
        $figures = [];
        $growing = ['hole' => $case->bore(), 'bar' => $case->bar === null ? null : $case->out(), 'ring' => $case->outside];
        foreach ($growing as $of => $long) {
            if ($long === null || $grows === null) {
                continue;
            }
            $more = Length::mm($long->inMm() * $grows * 1e-6 * self::WARM_K[$of]);
            $figures[] = Figure::fine("warm.$of", $more, 'lesson.case.warm', 'more = L · α · ΔT', [
                'L_mm' => $long->inMm(), 'α_per_million' => $grows, 'ΔT_k' => self::WARM_K[$of],
            ], 3)->teaching();
            $figures[] = Figure::text("warm.{$of}_by", CaseFigures::plain(self::WARM_K[$of]).' K', 'lesson.case.warm_by', []);
        }
        $limits = $case->wanted?->limits;
        if ($grows !== null && $limits !== null && $case->bore() !== null) {
            $wide = $limits->upper->minus($limits->lower)->inMm();
            $share = round($case->bore()->inMm() * $grows * 1e-6 * self::WARM_K['hole'] / $wide * 100);
            $figures[] = Figure::number('warm.share', 'percent', $share,
                'lesson.case.warm_share', 'share = more / (most − least)', ['wide_mm' => $wide])->teaching();
        }

        return $figures;
    }

    /** @return list<Figure> */
    private static function hole(BoundCase $case): array
    {
        $drill = $case->steps()['drill'] ?? null;
        $wide = $case->bore();
        $tip = $drill?->totalDepth;
        $figures = $wide === null ? [] : [
            Figure::length('thin.least', $wide->times(self::POINT), 'lesson.case.thin', 'least = k · d', [
                'k' => self::POINT, 'd_mm' => $wide->inMm(),
            ])->teaching(),
            Figure::length('half.size', $wide->times(0.5), 'lesson.case.half', 'half = d / 2', ['d_mm' => $wide->inMm()])->teaching(),
        ];
        if ($case->wanted?->through === false && $tip?->isLessThan($case->thickness) === true) {
            $figures[] = Figure::length('floor.left', $case->thickness->minus($tip), 'lesson.case.floor', 'floor = t − tip', [
                't_mm' => $case->thickness->inMm(), 'tip_mm' => $tip->inMm(),
            ]);
        }
        if ($case->bar !== null && ! $case->machine->isLathe()) {
            $radius = $case->bar->inMm() / 2;
            $figures = [
                ...$figures,
                Figure::length('cross.off', Length::mm(self::OFF_MM), 'lesson.case.cross')->teaching(),
                Figure::length('cross.rule', Length::mm(self::RULE_MM), 'lesson.case.cross')->teaching(),
                Figure::length('cross.tips', Length::mm(round(self::RULE_MM * self::OFF_MM / $radius, 1)), 'lesson.case.cross',
                    'tips = rule · off / r', ['rule_mm' => self::RULE_MM, 'off_mm' => self::OFF_MM, 'r_mm' => $radius])->teaching(),
            ];
        }

        return $figures;
    }

    /** @return list<Figure> */
    private static function tap(BoundCase $case): array
    {
        if ($case->wanted?->purpose !== 'tapped') {
            return [];
        }
        $thread = $case->wanted->theThread();
        $breaks = (new TappingTorque($case->wanted->tapping->major($thread), $thread->pitch, $case->material->cuttingForceNMm2))
            ->compute()->breaksNm;

        return [
            Figure::text('thread.name', $thread->designation, 'lesson.case.given', []),
            Figure::length('thread.pitch', $thread->pitch, 'lesson.case.pitch'),
            Figure::number('tap.breaks', 'nm', round($breaks, 1), 'lesson.case.tap_breaks', 'M = π · (D / 2)³ · τ / 16', [
                'D_mm' => $case->wanted->tapping->major($thread)->inMm(), 'τ_n_mm2' => 1000.0,
            ])->teaching(),
            Figure::length('tap.wrench', Length::mm(self::WRENCH_MM), 'lesson.case.wrench')->teaching(),
            Figure::text('tap.hand', Message::of(
                'learning.newtons',
                ['n' => round($breaks / (self::WRENCH_MM / 1000))],
            ), 'lesson.case.tap_hand', [
                'M_nm' => round($breaks, 1), 'wrench_mm' => self::WRENCH_MM,
            ]),
        ];
    }

    /** @return list<Figure> */
    private static function dials(BoundCase $case): array
    {
        $machine = $case->machine;
        $figures = $machine->taper === null ? [] : [Figure::text('spindle.taper', (string) $machine->taper, 'lesson.case.taper', [])];
        if (! $machine->isLathe()) {
            return $figures;
        }
        $figures[] = Figure::text('change.state', Message::of('learning.change_state.'.$machine->speedChange), 'lesson.change_state', []);
        $figures[] = Figure::length('tail.out', $case->policy->tailstockLeastOut, 'lesson.case.tail_out')->teaching();
        if ($case->blade !== null) {
            $reach = $case->blade->times($case->policy->bladeReachRatio);
            $figures[] = Figure::length('blade.reach', $reach, 'lesson.case.blade', 'reach = k · blade', [
                'k' => $case->policy->bladeReachRatio, 'blade_mm' => $case->blade->inMm(),
            ])->teaching();
        }
        if ($machine->carriage !== null) {
            $figures[] = Figure::fine('dial.division', $machine->carriage->graduation, 'lesson.case.dial', '', [], 3);
            $figures[] = Figure::text('dial.turn', (string) $machine->carriage->divisionsPerTurn, 'lesson.case.dial', []);
        }
        if ($machine->crossSlide !== null) {
            $figures[] = Figure::fine('cross.division', $machine->crossSlide->graduation, 'lesson.case.dial', '', [], 3);
            $figures[] = Figure::text('cross.reads', Message::of($machine->crossSlide->readsDiameter
                ? 'learning.dial_reads.diameter' : 'learning.dial_reads.radius'), 'lesson.case.dial', []);
        }

        return $figures;
    }

    /** @return list<Figure> the mouth that a centre is drilled to, and where one carries the room that it has */
    private static function centre(BoundCase $case): array
    {
        $terms = ($case->steps()['centre'] ?? null)?->figure('total_depth_mm')->terms ?? [];
        $mouth = $terms['mouth_mm'] ?? null;
        $figures = is_float($mouth) ? [Figure::fine('centre.mouth', Length::mm($mouth), 'lesson.case.mouth', '', [])->teaching()] : [];
        $drill = self::centreDrill($case);
        if ($drill !== null) {
            $figures[] = Figure::fine(
                'centre.least',
                $drill->shape->mouth(CentreDrillVerdict::GOOD_FROM),
                'lesson.case.mouth_room',
                '',
                [],
            )->teaching();
            $figures[] = Figure::fine(
                'centre.most',
                $drill->shape->mouth(CentreDrillVerdict::GOOD_TO),
                'lesson.case.mouth_room',
                '',
                [],
            )->teaching();
        }

        return $figures;
    }

    /** The centre drill of the plan; null where it starts with none. */
    public static function centreDrill(BoundCase $case): ?StandardCentreDrill
    {
        $size = ($case->steps()['centre'] ?? null)?->tool->terms['size'] ?? null;

        return is_string($size) ? StandardCentreDrill::all()[$size] ?? null : null;
    }
}
