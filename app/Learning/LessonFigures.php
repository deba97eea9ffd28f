<?php

declare(strict_types=1);

namespace App\Learning;

use App\Workshop\Policy;
use MillStep\Core\Exception\CoreException;
use MillStep\Core\Exception\Impossible;
use MillStep\Core\Learning\Figure;
use MillStep\Core\Learning\LessonFigures as CoreFigures;
use MillStep\Core\Measure\Length;
use MillStep\Core\Planning\ThroughHole;
use MillStep\Core\Planning\ThroughHolePlan;
use MillStep\Core\Workshop\MaterialTable;

/** Gathers a lesson's machine, crib, part and policy and has the core plan its hole. */
final class LessonFigures
{
    /**
     * @return array<string, Figure> by key; empty for a lesson that is bound to no hole
     *
     * @throws CoreException when crib or machine cannot make the hole
     */
    public function for(Lesson $lesson, ?Progress $progress): array
    {
        $plan = $this->plan($lesson);
        $touch = $progress?->reading('scale_touch');

        return $plan === null ? [] : CoreFigures::ofThroughHole($plan, $touch === null ? null : Length::mm($touch));
    }

    /** @throws CoreException */
    public function plan(Lesson $lesson): ?ThroughHolePlan
    {
        if ($lesson->part === null || $lesson->machine === null || $lesson->hole === null) {
            return null;
        }
        $drills = $lesson->machine->crib?->drills() ?? [];
        $speeds = $lesson->machine->speeds();
        if ($drills === [] || $speeds === null) {
            throw Impossible::because('machine', "{$lesson->machine->name} has no drills or no spindle speeds on record; add them in the workshop.");
        }

        return (new ThroughHole(
            MaterialTable::shipped()->get($lesson->part->material),
            Length::mm($lesson->part->thickness_mm),
            Length::mm($lesson->part->hole($lesson->hole)['diameter_mm']),
            $drills,
            $speeds,
            Policy::inForce(),
        ))->plan();
    }
}
