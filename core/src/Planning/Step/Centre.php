<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Cutting\Cone;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Lathe\CentreDrillChoice;
use MillStep\Core\Planning\Lathe\CentreDrillDepth;
use MillStep\Core\Planning\Lathe\CentreDrillVerdict;
use MillStep\Core\Reference\CentreDrillRange;
use MillStep\Core\Reference\StandardCentreDrill;

/** A short stiff start for the drill that follows, or a centre that carries the end of a bar. */
final class Centre extends Kind
{
    /**
     * A centre drill whose own pilot is wider than the drill that follows leaves that drill nothing to sit in, so its
     * size goes by work three times as wide as the drill (centre_drills.csv, workshop practice), or by the work itself
     * where that is smaller.
     */
    private const TIMES_THE_DRILL = 3;

    /** A start stands open four fifths of the drill that follows (workshop practice). */
    private const MOUTH = 0.8;

    /** The usual point of a spotting drill. */
    private const SPOT_DEG = 90.0;

    public static function names(): array
    {
        return ['centre'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'total_depth_mm' => 'mm'];
    }

    public static function toolTells(): bool
    {
        return true;
    }

    /**
     * @param  Length|null  $round  the diameter of round work
     * @param  Length  $deepest  where the tip of the final drill ends
     */
    public static function atThePress(Job $job, Length $firstDrill, ?Length $round, Length $deepest): PlanStep
    {
        $why = Message::of($round !== null ? 'planning.why.start_on_round' : 'planning.why.start_in_mark');
        $step = self::start($job, $firstDrill, $round, $deepest, $why);
        $job->holdsTrue(['start' => 'spot']);

        return $step;
    }

    /** @param  Length  $deepest  where the tip of the final drill ends */
    public static function inTheLathe(Job $job, Length $firstDrill, Length $work, Length $deepest): PlanStep
    {
        return self::start($job, $firstDrill, $work, $deepest, Message::of('planning.why.start_true'))
            ->beware(self::tailstock($job));
    }

    /** Its cone formed for the most part, and its mouth to measure. Null where no centre drill is meant for such a bar. */
    public static function toCarry(Job $job, Length $bar): ?PlanStep
    {
        $ranges = StandardCentreDrill::ranges($job->crib->centreDrillsIn($job->machine->scale->unit));
        try {
            $drill = StandardCentreDrill::named((new CentreDrillChoice($bar, $ranges))->compute()->size);
        } catch (NoCandidate $none) {
            // The inch table has gaps between its bands: there the smaller one is used (uncertain_rows.csv).
            $smaller = array_values(array_filter($ranges, static fn (CentreDrillRange $range): bool => $range->from->isAtMost($bar)));
            if ($smaller === []) {
                $job->missing($none->says);

                return null;
            }
            usort($smaller, static fn (CentreDrillRange $a, CentreDrillRange $b): int => $b->pilot->compareExactly($a->pilot));
            $drill = StandardCentreDrill::named($smaller[0]->size);
        }
        $tool = Message::of('planning.tool.centre_drill', ['size' => $drill->range->size]);
        if (! $job->crib->hasCentreDrill($drill->range->size)) {
            $job->missing(Message::of('planning.lacks.centre_drill', ['size' => $drill->range->size]));
        }
        $depth = (new CentreDrillDepth($drill->shape, $drill->pilotLength, CentreDrillDepth::USUAL))->compute();
        $job->holdsTrue([
            'centre_pilot_mm' => $drill->shape->pilot->inMm(),
            'centre_body_mm' => $drill->shape->body->inMm(),
            'centre_mouth_mm' => $depth->mouth->inMm(),
        ]);

        return PlanStep::of('centre', $tool, Message::of('planning.why.centre_that_carries', [
            'part_percent' => round(100 * CentreDrillDepth::USUAL),
            'mouth_mm' => round($depth->mouth->inMm(), 2),
        ]))
            ->beware(self::tailstock($job), Message::of(
                'planning.caution.weak_pilot'.($job->material->lubricant->isDry() ? '_dry' : ''),
            ))
            ->sized($drill->shape->body)
            ->spun($job->cut($tool, $drill->shape->body, 'centre_drilling'), $job->machine)
            ->toTip($depth->depth, Figure::length(
                'total_depth_mm',
                $depth->depth,
                'centre',
                'depth = pilot_length + part · (D − d) / 2 / tan 30°',
                [
                    'd_mm' => $drill->shape->pilot->inMm(),
                    'D_mm' => $drill->shape->body->inMm(),
                    'pilot_length_mm' => $drill->pilotLength->inMm(),
                    'part' => CentreDrillDepth::USUAL,
                    'mouth_mm' => $depth->mouth->inMm(),
                ],
            )->teaching())
            // A millimetre on the scale is more than the whole room that the mouth has: it is measured, not read.
            ->needing(Message::of('planning.needs.mouth', [
                'mouth_mm' => round($depth->mouth->inMm(), 2),
                'least_mm' => round($drill->shape->mouth(CentreDrillVerdict::GOOD_FROM)->inMm(), 2),
                'most_mm' => round($drill->shape->mouth(CentreDrillVerdict::GOOD_TO)->inMm(), 2),
            ]))
            ->wetted($job->material->lubricant->word());
    }

    /** The tailstock as it has to stand before anything in it is fed. */
    private static function tailstock(Job $job): Message
    {
        return Message::of('planning.caution.tailstock', ['out_mm' => $job->policy->tailstockLeastOut->inMm()]);
    }

    private static function start(Job $job, Length $firstDrill, ?Length $work, Length $deepest, Message $why): PlanStep
    {
        $drill = self::centreDrill($job, $firstDrill, $work, $deepest);
        $mouth = self::mouth($firstDrill, $drill);
        $depth = self::depthTo($mouth, $drill);
        $tool = $drill === null
            ? Message::of('planning.tool.spotting_drill')
            : Message::of('planning.tool.centre_drill', ['size' => $drill->range->size]);
        $diameter = $drill->shape->body ?? $firstDrill;
        $operation = $drill === null ? 'spot_drilling' : 'centre_drilling';
        $cutting = $job->cut($tool, $diameter, $operation);
        $job->mouth = $mouth;

        return PlanStep::of('centre', $tool, $why, $drill === null
            ? Message::of('planning.why.no_centre_drill_suits', ['drill_mm' => $firstDrill->inMm()])
            : Message::of('planning.why.centre_drill_suits', [
                'pilot_mm' => $drill->shape->pilot->inMm(),
                'drill_mm' => $firstDrill->inMm(),
            ]))
            ->sized($diameter)
            ->spun($cutting, $job->machine)
            ->toTip($depth, Figure::length('total_depth_mm', $depth, $drill === null ? 'start.spot' : 'start.centre', $drill === null
                ? 'depth = (mouth / 2) / tan(angle / 2)' : 'depth = pilot_length + (mouth − d) / 2 / tan 30°', [
                    'mouth_mm' => $mouth->inMm(),
                    ...($drill === null ? ['angle_deg' => self::SPOT_DEG] : [
                        'd_mm' => $drill->shape->pilot->inMm(), 'pilot_length_mm' => $drill->pilotLength->inMm(),
                    ]),
                ])->teaching())
            ->needing(Message::of('planning.needs.start_mouth', ['mouth_mm' => round($mouth->inMm(), 1)]))
            ->wetted($job->material->lubricant->word());
    }

    /** Wide enough to guide the drill that follows, and no wider than it: its corners must not be the first to touch. */
    private static function mouth(Length $firstDrill, ?StandardCentreDrill $drill): Length
    {
        $wanted = $firstDrill->times(self::MOUTH);
        if ($drill === null) {
            return $wanted;
        }
        $usual = (new CentreDrillDepth($drill->shape, $drill->pilotLength, CentreDrillDepth::USUAL))->compute()->mouth;
        $narrower = $wanted->isLessThan($usual) ? $wanted : $usual;

        return $narrower->isLessThan($drill->shape->pilot) ? $drill->shape->pilot : $narrower;
    }

    private static function depthTo(Length $mouth, ?StandardCentreDrill $drill): Length
    {
        return $drill === null
            ? Cone::depth($mouth, Length::zero(), self::SPOT_DEG)
            : $drill->pilotLength->plus(Cone::depth($mouth, $drill->shape->pilot, CentreDrillDepth::CONE_DEG));
    }

    /** The crib's widest that leaves the drill a cone to sit in, and whose own pilot does not go deeper than the hole. */
    private static function centreDrill(Job $job, Length $firstDrill, ?Length $work, Length $deepest): ?StandardCentreDrill
    {
        $least = $firstDrill->times(self::TIMES_THE_DRILL);
        $reach = $work?->isLessThan($least) === true ? $work : $least;
        $best = null;
        foreach (StandardCentreDrill::ranges($job->crib->centreDrillsIn($job->machine->scale->unit)) as $range) {
            $drill = StandardCentreDrill::named($range->size);
            if ($reach->isAtLeast($range->from) && $job->crib->hasCentreDrill($range->size)
                && self::depthTo(self::mouth($firstDrill, $drill), $drill)->isLessThan($deepest)
                && ($best === null || $range->pilot->isGreaterThan($best->shape->pilot))) {
                $best = $drill;
            }
        }

        return $best;
    }
}
