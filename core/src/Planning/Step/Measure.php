<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Measure\Machine\TramCheck;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoleRequest;

/** What is measured at the end, with what, and within which limits. */
final class Measure extends Kind
{
    public static function names(): array
    {
        return ['measure'];
    }

    /** @param  bool  $across  of round work */
    public static function hole(Job $job, HoleRequest $hole, bool $across = false): PlanStep
    {
        $job->warn(self::noGauge($job, $hole));
        $step = PlanStep::of('measure', Message::of('planning.gauge.'.$hole->purpose), $hole->limits === null
            ? Message::of($hole->purpose === 'bored' ? 'planning.why.bored_measured' : 'planning.why.hole_over_size')
            : self::within('planning.why.limits', $hole, $hole->limits));
        if ($job->material->key === 'nylon') {
            $step = $step->because(Message::of('planning.why.closes_in'));
        }
        if ($hole->positionTolerance !== null) {
            $step = $step->because(Message::of('planning.why.measured_position', ['within_mm' => $hole->positionTolerance->inMm()]));
        }

        $step = self::machine($job, $hole, $step);
        $step = $across ? $step->needing(Message::of('planning.needs.cross_measure')) : $step;

        return $hole->limits === null ? $step : $step->shows(self::limits($hole->limits));
    }

    /** What the machine itself does to the hole, as far as it was measured. */
    private static function machine(Job $job, HoleRequest $hole, PlanStep $step): PlanStep
    {
        $drilled = ! in_array($hole->purpose, ['reamed', 'tapped', 'bored'], true);
        if ($drilled && $job->machine->runOut?->isPositive() === true) {
            $step = $step->needing(Message::of('planning.needs.runs_out', ['swing_mm' => round($job->machine->runOut->inMm(), 3)]));
        }
        $slope = $job->machine->slope ?? 0.0;

        return $job->machine->isLathe() || $slope <= TramCheck::USUAL_SLOPE + 1e-9 ? $step : $step->needing(
            Message::of('planning.needs.table_leans', ['lean_mm' => round($slope * $job->thickness->inMm(), 2)]),
        );
    }

    /** @param  non-empty-list<string>  $what  keys of what is measured */
    public static function pieces(array $what, bool $every, ?HoleRequest $bore): PlanStep
    {
        $tool = $bore === null || in_array($bore->purpose, ['plain', 'clearance'], true)
            ? Message::of('planning.gauge.plain')
            : Message::of('planning.gauge.and_caliper', ['gauge' => Message::of("planning.gauge.$bore->purpose")]);
        $step = PlanStep::of('measure', $tool, Message::of($every ? 'planning.why.measured_every' : 'planning.why.measured', [
            'what' => Message::allOf(array_map(static fn (string $key): Message => Message::of("planning.measured.$key"), $what)),
        ]));

        return $bore?->limits === null ? $step : $step
            ->because(self::within('planning.why.bore_limits', $bore, $bore->limits))
            ->shows(self::limits($bore->limits));
    }

    private static function within(string $code, HoleRequest $hole, Limits $limits): Message
    {
        return Message::of($code, [
            'fit' => $hole->fit ?? '',
            'least_mm' => round($limits->lower->inMm(), 3),
            'most_mm' => round($limits->upper->inMm(), 3),
        ]);
    }

    private static function limits(Limits $limits): Figure
    {
        return Figure::length(
            'limits_mm',
            $limits->upper,
            'limits',
            '',
            ['go_mm' => $limits->lower->inMm(), 'no_go_mm' => $limits->upper->inMm()],
        );
    }

    /** Says so where the crib has no such gauge, and what stands in. */
    private static function noGauge(Job $job, HoleRequest $hole): ?Message
    {
        if ($hole->purpose === 'tapped') {
            $thread = $hole->theThread()->designation;

            return $job->crib->hasGauge('thread', $thread) ? null : Message::of('planning.warns.no_thread_gauge', ['thread' => $thread]);
        }
        if ($hole->purpose !== 'reamed') {
            return null;
        }
        $size = $hole->largest()->inMm();

        return $job->crib->hasGauge('plug', sprintf('%.6g', $size))
            ? null
            : Message::of('planning.warns.no_plug_gauge', ['size_mm' => $size]);
    }
}
