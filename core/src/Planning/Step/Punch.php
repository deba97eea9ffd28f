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
        $web = $firstDrill->inMm() * $job->policy->webRatio;
        // Wider than the dead point, in halves of a millimetre: what one can judge beside a rule.
        $mark = max(1.0, ceil(2 * $web + 1e-9) / 2);
        $job->holdsTrue(['mark_diameter_mm' => $mark]);

        if ($job->material->isSoft()) {
            return PlanStep::of(
                'punch',
                Message::of('planning.punch_tool.awl'),
                Message::of('planning.punching.awl'),
                Message::of('planning.why.dimple', ['mark_mm' => $mark, 'web_mm' => round($web, 2)]),
            );
        }

        return PlanStep::of(
            'punch',
            Message::of("planning.punch_tool.$school"),
            Message::of("planning.punching.$school"),
            Message::of('planning.why.dimple', ['mark_mm' => $mark, 'web_mm' => round($web, 2)]),
        )->standing(Standing::Eyes);
    }
}
