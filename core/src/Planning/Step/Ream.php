<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Workshop\Holding\Ring;

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
        $lead = $byHand ? $diameter->times(DrilledDepth::HAND_LEAD) : Length::mm(DrilledDepth::MACHINE_LEAD_MM);
        // Its full size has to reach the far side, or the depth that the drawing wants: the lead goes before it.
        $depth = $hole->depth ?? $job->thickness;
        $travel = $depth->plus($lead);
        $tool = Message::of($byHand ? 'planning.tool.hand_reamer' : 'planning.tool.machine_reamer', ['size_mm' => $diameter->inMm()]);
        $step = PlanStep::of('ream', $tool, Message::of($job->material->lubricant->isDry() ? 'planning.why.ream_dry' : 'planning.why.ream'))
            ->beware(Message::of('planning.caution.reamer_forward'))
            ->sized($diameter)
            ->wetted($job->material->lubricant->word());
        if ($byHand) {
            $step = $step->danger(Message::of('planning.caution.hand_reamer'));
        } else {
            $cutting = $job->cut($tool, $diameter, 'reaming_machine', null, self::FEED, 'planning.instead.ream_by_hand');
            $step = $step->spun($cutting, $job->machine)->fed($cutting)->lasting($cutting->timeS($travel));
        }
        $job->setup([
            'tool' => 'reamer', 'hand_tool' => $byHand, 'powered' => ! $byHand,
            'rpm' => $step->rpm ?? 0, ...(isset($cutting) ? ['operation_factor' => $cutting->factor] : []),
            'cutting_diameter_mm' => (new Ring($diameter, $final->drill->diameter))->asWide()->inMm(),
            'diameter_mm' => $diameter->inMm(), 'drilled_mm' => $final->drill->diameter->inMm(), 'reversed' => false,
            'allowance_min_mm' => $final->ream?->window->min->inMm() ?? 0, 'allowance_max_mm' => max(
                $final->ream?->window->max->inMm() ?? 0,
                $final->ream !== null && HoleDrill::keepsItsSchool($final->ream, $final->reamer ?? '', $job->policy)
                    ? $final->ream->allowance->inMm() : 0,
            ),
        ]);

        return $step->deep($depth, Figure::length('depth_mm', $depth, $hole->through ? 'ream.through' : 'ream.blind'))
            ->toTip($travel, Figure::length('total_depth_mm', $travel, 'ream.travel', 'travel = L + lead', [
                'L_mm' => $depth->inMm(), 'lead_mm' => $lead->inMm(),
            ])->teaching());
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
