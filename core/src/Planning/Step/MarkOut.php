<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Policy\LocatingSchool;

/** The lines that the punch follows, by the school in force. */
final class MarkOut extends Kind
{
    public static function names(): array
    {
        return ['mark_out'];
    }

    /**
     * @param  Length|null  $round  the diameter of round work
     * @param  bool  $sandwiched  between two boards: the mark is on the upper one
     */
    public static function make(Job $job, HoleRequest $hole, ?Length $round, bool $sandwiched): PlanStep
    {
        $step = PlanStep::of(
            'mark_out',
            Message::of(match (true) {
                $round !== null && $job->policy->locatingSchool === LocatingSchool::EdgeFinder => 'planning.locate_tool.edge_finder',
                $round !== null => 'planning.tool.thin_rule',
                $sandwiched || $job->material->isSoft() => 'planning.tool.pencil',
                default => 'planning.tool.scriber',
            }),
            match (true) {
                $round !== null => Message::of('planning.crown.'.$job->policy->locatingSchool->value, ['work_mm' => $round->inMm()]),
                $sandwiched => Message::of('planning.marking.on_board'),
                $job->material->isSoft() => Message::of('planning.marking.'.$job->material->group),
                default => Message::of('planning.marking.'.$job->policy->markingSchool->value),
            },
        );

        return $hole->positionTolerance === null ? $step : $step->because(
            Message::of('planning.why.position_within', ['within_mm' => $hole->positionTolerance->inMm()]),
        );
    }
}
