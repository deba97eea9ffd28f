<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoleRequest;

/** The lines that the punch follows, by the school in force. */
final class MarkOut extends Kind
{
    public static function names(): array
    {
        return ['mark_out'];
    }

    /** @param  Length|null  $round  the diameter of round work */
    public static function make(Job $job, HoleRequest $hole, ?Length $round): PlanStep
    {
        $step = PlanStep::of(
            'mark_out',
            Message::of($round === null ? 'planning.tool.scriber' : 'planning.tool.thin_rule'),
            $round === null
                ? Message::of('planning.marking.'.$job->policy->markingSchool->value)
                : Message::of('planning.why.middle_of_round', ['work_mm' => $round->inMm()]),
        );

        return $hole->positionTolerance === null ? $step : $step->because(
            Message::of('planning.why.position_within', ['within_mm' => $hole->positionTolerance->inMm()]),
        );
    }
}
