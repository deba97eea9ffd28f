<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Reference\Thread;

/** The lead for a tap: by the spindle where it turns slowly enough, else by hand. */
final class Countersink extends Kind
{
    /** A countersink's lead for a tap is about a tenth wider than the thread. */
    private const LEAD = 1.1;

    public static function names(): array
    {
        return ['countersink'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm'];
    }

    public static function make(Job $job, Thread $thread): PlanStep
    {
        $lead = $thread->major->times(self::LEAD);
        $working = Figure::length('diameter_mm', $lead, 'countersink', 'd = 1.1 · D', ['D_mm' => $thread->major->inMm()])->teaching();
        $why = Message::of('planning.why.lead_for_tap');
        $cutting = Cutting::of($job->machine, $job->material, $job->policy, $lead, 'countersinking');
        if ($cutting->machineTooFast()) {
            return PlanStep::of('countersink', Message::of('planning.tool.hand_countersink'), $why, Message::of(
                'planning.why.countersink_by_hand',
                ['slowest_rpm' => $cutting->speed->chosenRpm, 'wanted_rpm' => floor($cutting->wantedRpm())],
            ))
                ->beware(Message::of('planning.caution.isolated_countersink'))
                ->sized($lead, $working)
                ->wetted($job->material->lubricant->word());
        }
        $tool = Message::of('planning.tool.countersink');

        return PlanStep::of('countersink', $tool, $why)
            ->beware(Message::of('planning.caution.key_out'))
            ->sized($lead, $working)
            ->spun($job->judged($cutting, $tool), $job->machine)
            ->wetted($job->material->lubricant->word());
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        $sink = $step->diameter?->inMm() ?? 0.0;
        $half = $sink / (2 * self::LEAD);
        $deep = ($sink / 2 - $half) + 0.3 * $half;
        $pen->path(Style::Thin, [[-$sink / 2, 0], [-$half * 0.7, -$deep], [$half * 0.7, -$deep], [$sink / 2, 0]]);
    }
}
