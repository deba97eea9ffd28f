<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;

/** A bore brought to size, by hand or by the machine. */
final class Ream extends Kind
{
    /** A reamer is fed at two to three times a drill's feed (operation_speed_factors.csv, the note). */
    private const FEED = 2.0;

    public static function names(): array
    {
        return ['ream'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm'];
    }

    public static function make(Job $job, HoleRequest $hole, HoleDrill $final): PlanStep
    {
        $diameter = $hole->largest();
        $byHand = $final->reamer === 'hand';
        $depth = $hole->depth ?? $job->thickness->plus($job->policy->breakthrough);
        $tool = Message::of($byHand ? 'planning.tool.hand_reamer' : 'planning.tool.machine_reamer', ['size_mm' => $diameter->inMm()]);
        $step = PlanStep::of('ream', $tool, Message::of('planning.why.ream'))
            ->beware(Message::of('planning.caution.reamer_forward'))
            ->sized($diameter)
            ->wetted($job->material->lubricant->word());
        if ($byHand) {
            $step = $step->beware(Message::of('planning.caution.hand_reamer'));
            if (! $hole->through) {
                $job->warn(Message::of('planning.warns.hand_reamer_blind'));
            }
        } else {
            $cutting = $job->cut($tool, $diameter, 'reaming_machine', null, self::FEED, 'planning.instead.ream_by_hand');
            $step = $step->spun($cutting, $job->machine)->fed($cutting)->lasting($cutting->timeS($depth));
        }
        $job->setup([
            'tool' => 'reamer', 'hand_tool' => $byHand, 'powered' => ! $byHand, 'rpm' => 0,
            'diameter_mm' => $diameter->inMm(), 'drilled_mm' => $final->drill->diameter->inMm(), 'reversed' => false,
            'allowance_min_mm' => $final->ream?->window->min->inMm() ?? 0, 'allowance_max_mm' => $final->ream?->window->max->inMm() ?? 0,
        ]);

        return $step->deep($depth, Figure::length('depth_mm', $depth, $hole->through ? 'depth.through' : 'depth.blind'));
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if ($step->diameter === null || $step->depth === null) {
            return;
        }
        $half = $step->diameter->inMm() / 2;
        $end = -min($section->thicknessMm, $step->depth->inMm());
        $pen->line(Style::Thin, -$half, 0, -$half, $end);
        $pen->line(Style::Thin, $half, 0, $half, $end);
    }
}
