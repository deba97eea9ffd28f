<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Lathe\CentreDrillChoice;
use MillStep\Core\Planning\Lathe\CentreDrillDepth;
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

    public static function names(): array
    {
        return ['centre'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'total_depth_mm' => 'mm', 'reading_mm' => 'mm'];
    }

    public static function toolTells(): bool
    {
        return true;
    }

    /** @param  Length|null  $round  the diameter of round work */
    public static function atThePress(Job $job, Length $firstDrill, ?Length $round): PlanStep
    {
        $why = Message::of($round !== null ? 'planning.why.start_on_round' : 'planning.why.start_in_mark');
        $step = self::start($job, $firstDrill, $round, $why)->beware(Message::of('planning.caution.key_out'));
        $job->holdsTrue(['start' => 'spot']);

        return $step;
    }

    public static function inTheLathe(Job $job, Length $firstDrill, Length $work): PlanStep
    {
        return self::start($job, $firstDrill, $work, Message::of('planning.why.start_true'))
            ->beware(Message::of('planning.caution.tailstock'));
    }

    /** Its cone formed for the most part, and its mouth to measure. Null where no centre drill is meant for such a bar. */
    public static function toCarry(Job $job, Length $bar): ?PlanStep
    {
        try {
            $drill = StandardCentreDrill::named((new CentreDrillChoice($bar, StandardCentreDrill::ranges('metric')))->compute()->size);
        } catch (NoCandidate $none) {
            $job->missing($none->says);

            return null;
        }
        $tool = Message::of('planning.tool.centre_drill', ['size' => $drill->range->size]);
        if (! $job->crib->hasCentreDrill($drill->range->size)) {
            $job->missing(Message::of('planning.lacks.centre_drill', ['size' => $drill->range->size]));
        }
        $depth = (new CentreDrillDepth($drill->shape, $drill->pilotLength, CentreDrillDepth::USUAL))->compute();
        $scale = $job->machine->scale;
        $reading = $scale->down($depth->depth);
        $job->holdsTrue([
            'centre_pilot_mm' => $drill->shape->pilot->inMm(),
            'centre_body_mm' => $drill->shape->body->inMm(),
            'centre_mouth_mm' => $depth->mouth->inMm(),
        ]);

        return PlanStep::of('centre', $tool, Message::of('planning.why.centre_that_carries', [
            'part_percent' => round(100 * CentreDrillDepth::USUAL),
            'mouth_mm' => round($depth->mouth->inMm(), 2),
        ]))
            ->beware(Message::of('planning.caution.tailstock'), Message::of('planning.caution.weak_pilot'))
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
            ->reads($reading, $scale->name($reading), Figure::length(
                'reading_mm',
                $reading,
                'reading.down',
                'reading = depth',
                ['depth_mm' => $depth->depth->inMm(), 'graduation_mm' => $scale->graduation->inMm()],
            ))
            ->wetted($job->material->lubricant->word());
    }

    private static function start(Job $job, Length $firstDrill, ?Length $work, Message $why): PlanStep
    {
        $drill = self::centreDrill($job, $firstDrill, $work);
        $tool = $drill === null
            ? Message::of('planning.tool.spotting_drill')
            : Message::of('planning.tool.centre_drill', ['size' => $drill->range->size]);
        $diameter = $drill->shape->body ?? $firstDrill;
        $cutting = $job->cut($tool, $diameter, $drill === null ? 'spot_drilling' : 'centre_drilling');

        return PlanStep::of('centre', $tool, $why, $drill === null
            ? Message::of('planning.why.no_centre_drill_suits', ['drill_mm' => $firstDrill->inMm()])
            : Message::of('planning.why.centre_drill_suits', [
                'pilot_mm' => $drill->shape->pilot->inMm(),
                'drill_mm' => $firstDrill->inMm(),
            ]))
            ->sized($diameter)
            ->spun($cutting, $job->machine)
            ->wetted($job->material->lubricant->word());
    }

    /** The crib's widest that leaves the drill a cone to sit in. */
    private static function centreDrill(Job $job, Length $firstDrill, ?Length $work): ?StandardCentreDrill
    {
        $least = $firstDrill->times(self::TIMES_THE_DRILL);
        $reach = $work?->isLessThan($least) === true ? $work : $least;
        $best = null;
        foreach (StandardCentreDrill::ranges('metric') as $range) {
            if ($reach->isAtLeast($range->from) && $job->crib->hasCentreDrill($range->size)
                && ($best === null || $range->pilot->isGreaterThan($best->pilot))) {
                $best = $range;
            }
        }

        return $best === null ? null : StandardCentreDrill::named($best->size);
    }
}
