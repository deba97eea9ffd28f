<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Thread\TapChoice;
use MillStep\Core\Planning\Thread\TapsAtHand;
use MillStep\Core\Policy\ReversingSchool;
use MillStep\Core\Reference\TapType;

/** A thread cut by hand, tap after tap. */
final class Tap extends Kind
{
    public static function names(): array
    {
        return ['tap'];
    }

    /** @return list<PlanStep> none where the crib has no taps that do it */
    public static function make(Job $job, HoleRequest $hole, HoleDrill $final): array
    {
        $thread = $hole->theThread();
        $depth = $hole->depth ?? $job->thickness;
        $wanted = (new TapChoice($hole->through, 'hand', $job->material->group, $depth, $thread->major))->compute();
        $taps = TapsAtHand::of($wanted, $thread, $job->crib, $hole->through, $job->material->group);
        $asked = Message::allOf(array_map(static fn (string $type): Message => Message::of("planning.tap.$type"), $wanted->sequence));
        if ($taps === null) {
            $job->missing(Message::of('planning.lacks.taps', ['thread' => $thread->designation, 'taps' => $asked]));

            return [];
        }
        if ($taps->instead) {
            $job->warn(Message::of($taps->reverses ? 'planning.warns.other_taps_reversed' : 'planning.warns.other_taps', [
                'taps' => $asked, 'thread' => $thread->designation, 'instead' => $taps->word(),
            ]));
        }
        $window = $final->window;
        $job->setup([
            'tool' => 'tap', 'hand_tool' => true, 'powered' => false, 'rpm' => 0, 'tap_type' => $taps->taps[0]->type,
            'major_mm' => $thread->major->inMm(), 'pitch_mm' => $thread->pitch->inMm(),
            'drilled_mm' => $final->drill->diameter->inMm(), 'diameter_mm' => $final->drill->diameter->inMm(),
        ], $window === null ? [] : ['thread_percent_min' => $window->min, 'thread_percent_max' => $window->max]);

        return array_map(static fn (TapType $tap): PlanStep => self::tap($job, $hole, $taps, $tap, $depth), $taps->taps);
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if ($step->diameter === null || $step->depth === null) {
            return;
        }
        $half = $step->diameter->inMm() / 2;
        $end = -min($section->thicknessMm, $step->depth->inMm());
        $pen->line(Style::Thread, -$half, 0, -$half, $end);
        $pen->line(Style::Thread, $half, 0, $half, $end);
        $pen->line(Style::Thread, -$half, $end, $half, $end);
    }

    private static function tap(Job $job, HoleRequest $hole, TapsAtHand $taps, TapType $tap, Length $depth): PlanStep
    {
        $thread = $hole->theThread();
        $step = PlanStep::of('tap', Message::of("planning.tool.tap.$tap->type", ['thread' => $thread->designation]), $taps->reason)
            ->beware(Message::of('planning.caution.isolated_tap'))
            ->sized($thread->major, Figure::length('diameter_mm', $thread->major, 'thread', '', ['p_mm' => $thread->pitch->inMm()]))
            ->deep($depth, Figure::length(
                'depth_mm',
                $depth,
                $hole->through ? 'tap.through' : 'tap.blind',
                'turns = depth / p',
                ['p_mm' => $thread->pitch->inMm(), 'turns' => $depth->ratioTo($thread->pitch)],
            ))
            ->wetted($job->material->lubricant->word());

        return $taps->reverses
            ? $step->because(Message::of($job->policy->reversingSchool === ReversingSchool::EveryTurn
                ? 'planning.reversing.every_turn' : 'planning.reversing.when_it_stiffens'))
            : $step;
    }
}
