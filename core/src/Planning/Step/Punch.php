<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;

/** The mark that the first drill finds, by the school in force. */
final class Punch extends Kind
{
    public static function names(): array
    {
        return ['punch'];
    }

    public static function make(Job $job, Length $firstDrill): PlanStep
    {
        $school = $job->policy->punchingSchool->value;

        return PlanStep::of(
            'punch',
            Message::of("planning.punch_tool.$school"),
            Message::of("planning.punching.$school"),
            Message::of('planning.why.dimple', ['web_mm' => round($firstDrill->inMm() * $job->policy->webRatio, 2)]),
        )->beware(Message::of('planning.caution.eyes'));
    }
}
