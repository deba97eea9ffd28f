<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Policy\LocatingSchool;

/** The mark brought under the spindle, by the school in force. */
final class Locate extends Kind
{
    public static function names(): array
    {
        return ['locate'];
    }

    public static function make(Job $job): PlanStep
    {
        $school = $job->policy->locatingSchool;
        $step = PlanStep::of(
            'locate',
            Message::of("planning.locate_tool.$school->value"),
            Message::of("planning.locating.$school->value"),
        );

        return $school === LocatingSchool::Pointer
            ? $step->danger(Message::of('planning.caution.pointer'))->standing(Standing::Eyes)
            : $step;
    }
}
