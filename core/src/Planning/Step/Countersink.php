<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cone;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;

/** The lead for a tap: by the spindle where it turns slowly enough, else by hand. */
final class Countersink extends Kind
{
    /** A countersink's lead for a tap is about a tenth wider than the thread. */
    private const LEAD = 1.1;

    /** The usual countersink, for metric heads and for deburring. */
    public const ANGLE_DEG = 90.0;

    public static function names(): array
    {
        return ['countersink'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm'];
    }

    /**
     * @param  Length  $major  of the thread that follows
     * @param  Length  $drilled  the hole that it opens
     * @param  bool  $insert  whose last turn lies just under the face, and needs all of its thread there
     */
    public static function make(Job $job, Length $major, Length $drilled, bool $insert = false): PlanStep
    {
        $lead = $insert ? $major : $major->times(self::LEAD);
        $working = ($insert ? Figure::length('diameter_mm', $lead, 'countersink_insert', '', ['D_mm' => $major->inMm()])
            : Figure::length('diameter_mm', $lead, 'countersink', 'd = 1.1 · D', ['D_mm' => $major->inMm()]))->teaching();
        $why = Message::of($insert ? 'planning.why.lead_for_insert' : 'planning.why.lead_for_tap');
        $depth = Cone::depth($lead, $drilled, self::ANGLE_DEG);
        $deep = self::deep($depth, $lead, $drilled, self::ANGLE_DEG);
        $mouth = Message::of('planning.needs.sink_mouth', ['mouth_mm' => round($lead->inMm(), 1), 'angle_deg' => self::ANGLE_DEG]);
        $cutting = Cutting::of($job->machine, $job->material, $job->policy, $lead, 'countersinking');
        if ($cutting->machineTooFast()) {
            return PlanStep::of('countersink', Message::of('planning.tool.hand_countersink'), $why, Message::of(
                'planning.why.countersink_by_hand',
                ['slowest_rpm' => $cutting->speed->chosenRpm, 'wanted_rpm' => floor($cutting->wantedRpm())],
            ))
                ->danger(Message::of('planning.caution.isolated_countersink'))
                ->sized($lead, $working)
                ->toTip($depth, $deep)
                ->needing($mouth)
                ->wetted($job->material->lubricant->word());
        }
        $tool = Message::of('planning.tool.countersink');
        $job->setup([
            'tool' => 'countersink', 'hand_tool' => false, 'powered' => true, 'diameter_mm' => $lead->inMm(),
            'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor,
        ]);

        return PlanStep::of('countersink', $tool, $why)
            ->sized($lead, $working)
            ->toTip($depth, $deep)
            ->needing($mouth)
            ->spun($job->judged($cutting, $tool), $job->machine)
            ->wetted($job->material->lubricant->word());
    }

    /** The working of how deep a cone goes that opens a hole. */
    public static function deep(Length $depth, Length $wide, Length $drilled, float $angleDeg): Figure
    {
        return Figure::length('total_depth_mm', $depth, 'countersink_depth', 'depth = (D − d) / 2 / tan(angle / 2)', [
            'D_mm' => $wide->inMm(), 'd_mm' => $drilled->inMm(), 'angle_deg' => $angleDeg,
        ])->teaching();
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if ($step->diameter === null || $step->totalDepth === null) {
            return;
        }
        $half = $step->diameter->inMm() / 2;
        $deep = $step->totalDepth->inMm();
        $hole = min($half, $section->diameterMm / 2);
        $pen->path(Style::Thin, [[-$half, 0], [-$hole, -$deep], [$hole, -$deep], [$half, 0]]);
    }
}
