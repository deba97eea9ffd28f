<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Thread\Tapping;
use MillStep\Core\Planning\Thread\TappingTorque;
use MillStep\Core\Planning\Thread\TapsAtHand;
use MillStep\Core\Policy\ReversingSchool;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Reference\Thread;

/** A thread cut by hand, tap after tap; or in one go by a spindle that reverses. */
final class Tap extends Kind
{
    /** Under so many diameters a thread strips before its screw breaks; over so many it only costs taps (workshop practice). */
    public const SHORTEST = 0.8;

    public const LONGEST = 2.5;

    public static function names(): array
    {
        return ['tap'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm'];
    }

    /** @return list<PlanStep> none where the crib has no taps that do it */
    public static function make(Job $job, HoleRequest $hole, HoleDrill $final): array
    {
        $thread = $hole->theThread();
        $depth = $hole->depth ?? $job->thickness;
        $wanted = $hole->tapping->wanted($hole->through, $job->material, $depth, $thread);
        $taps = TapsAtHand::of($hole->tapping, $thread, $job->material, $job->crib, $hole->through, $depth);
        $asked = Message::allOf(array_map(static fn (string $type): Message => Message::of("planning.tap.$type"), $wanted->sequence));
        if ($taps === null) {
            $job->missing(Message::of($hole->tapping === Tapping::Hand ? 'planning.lacks.taps' : 'planning.lacks.other_taps', [
                'thread' => $thread->designation, 'taps' => $asked,
            ]));

            return [];
        }
        if ($taps->instead) {
            $job->warn(Message::of($taps->reverses ? 'planning.warns.other_taps_reversed' : 'planning.warns.other_taps', [
                'taps' => $asked, 'thread' => $thread->designation, 'instead' => $taps->word(),
            ]));
        }
        self::judgeLength($job, $thread, $depth);
        $window = $final->window;
        $byPower = $hole->tapping->byPower();
        if ($byPower && ! $job->machine->reverses) {
            $job->missing(Message::of('planning.lacks.reversing_spindle', ['machine' => $job->machine->word()]));
        }
        $cutting = $byPower ? $job->cut(
            self::name($taps->taps[0], $thread),
            $hole->tapping->major($thread),
            'power_tapping',
            instead: 'planning.instead.tap_by_hand',
        ) : null;
        $job->setup([
            'tool' => 'tap', 'hand_tool' => ! $byPower, 'powered' => $byPower, 'rpm' => $cutting->speed->chosenRpm ?? 0,
            ...($cutting === null ? [] : [
                'operation_factor' => $cutting->factor, 'machine_reverses' => $job->machine->reverses,
            ]),
            'tap_type' => $taps->taps[0]->type,
            'major_mm' => $hole->tapping->major($thread)->inMm(), 'pitch_mm' => $thread->pitch->inMm(),
            'drilled_mm' => $final->drill->diameter->inMm(), 'diameter_mm' => $final->drill->diameter->inMm(),
            'thread_depth_mm' => $depth->inMm(), 'short_thread_known' => true,
        ], $window === null ? [] : ['thread_percent_min' => $window->min, 'thread_percent_max' => $window->max]);

        return array_map(
            static fn (TapType $tap): PlanStep => self::driven($job, $hole, $cutting, self::tap($job, $hole, $taps, $tap, $depth)),
            $taps->taps,
        );
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

    private static function name(TapType $tap, Thread $thread): Message
    {
        return Message::of("planning.tool.tap.$tap->type", ['thread' => $thread->designation]);
    }

    /** Said, and not refused: a short thread may well be what the drawing wants. */
    private static function judgeLength(Job $job, Thread $thread, Length $depth): void
    {
        $ratio = $depth->ratioTo($thread->major);
        $terms = ['thread' => $thread->designation, 'depth_mm' => $depth->inMm(), 'deep_ratio' => round($ratio, 2)];
        if ($ratio < self::SHORTEST - 1e-9) {
            $job->warn(Message::of('planning.warns.thread_short', [...$terms, 'least_ratio' => self::SHORTEST]));
        } elseif ($ratio > self::LONGEST + 1e-9) {
            $job->warn(Message::of('planning.warns.thread_long', [...$terms, 'most_ratio' => self::LONGEST]));
        }
    }

    private static function tap(Job $job, HoleRequest $hole, TapsAtHand $taps, TapType $tap, Length $depth): PlanStep
    {
        $thread = $hole->theThread();
        // The threads at its tip are not full: the last tap goes so much further, and none goes deeper than that one.
        $last = $taps->taps[count($taps->taps) - 1];
        $travel = $depth->plus($thread->pitch->times($last->leadThreads));
        // A longer lead leaves so much less of full thread at the same depth.
        $full = $travel->minus($thread->pitch->times($tap->leadThreads));
        $full = $full->isPositive() ? $full : Length::zero();
        $major = $hole->tapping->major($thread);
        $twist = (new TappingTorque($major, $thread->pitch, $job->material->cuttingForceNMm2))->compute()->times($hole->tapping->twist());
        $twists = ['torque_nm' => round($twist->torqueNm, 1 + (int) ($twist->torqueNm < 1)), 'breaks_nm' => round($twist->breaksNm, 1)];
        $job->warn($twist->sound ? null : Message::of('planning.warns.tap_weak', [
            'thread' => $thread->designation, 'material' => $job->material->word(), ...$twists,
        ]));
        $step = PlanStep::of('tap', self::name($tap, $thread), $taps->reason)
            ->sized($major, Figure::length(
                'diameter_mm',
                $major,
                $hole->tapping === Tapping::Insert ? 'thread_for_insert' : 'thread',
                '',
                ['p_mm' => $thread->pitch->inMm()],
            ))
            ->deep($full, Figure::length('depth_mm', $full, match (true) {
                $tap !== $last => 'tap.not_full',
                $hole->through => 'tap.through',
                default => 'tap.blind',
            }))
            ->toTip($travel, Figure::length(
                'total_depth_mm',
                $travel,
                'tap.travel',
                'travel = L + lead · p',
                [
                    'L_mm' => $depth->inMm(), 'lead' => $last->leadThreads, 'p_mm' => $thread->pitch->inMm(),
                    'turns' => $travel->ratioTo($thread->pitch),
                ],
            )->teaching())
            ->needing(Message::of(match (true) {
                $tap === $last => 'planning.needs.tap_to_depth',
                $full->isPositive() => 'planning.needs.tap_not_full',
                default => 'planning.needs.tap_none_full',
            }, [
                'full_mm' => round($full->inMm(), 1),
            ]))
            ->needing(Message::of('planning.needs.tap_twist', $twists))
            ->shows(Figure::number('torque_nm', 'nm', $twist->torqueNm, 'tap.twist', $hole->tapping->twist() > 1
                ? 'M = kc · p² · D / 8000 · form' : 'M = kc · p² · D / 8000', [
                    'kc_n_mm2' => $job->material->cuttingForceNMm2, 'p_mm' => $thread->pitch->inMm(), 'D_mm' => $major->inMm(),
                    ...($hole->tapping->twist() > 1 ? ['form' => $hole->tapping->twist()] : []), 'breaks_nm' => $twist->breaksNm,
                ])->teaching())
            ->troubled(...self::broken($hole->through))
            ->wetted($job->material->lubricant->word());

        return $taps->reverses
            ? $step->needing(Message::of($job->policy->reversingSchool === ReversingSchool::EveryTurn
                ? 'planning.reversing.every_turn' : 'planning.reversing.when_it_stiffens'))
            : $step;
    }

    /** By a wrench with the spindle turned by hand; or by the spindle, at a tap's own speed, and out again. */
    private static function driven(Job $job, HoleRequest $hole, ?Cutting $cutting, PlanStep $step): PlanStep
    {
        $travel = $step->totalDepth ?? Length::zero();
        $pitch = $hole->theThread()->pitch;
        if ($cutting === null) {
            return $step->danger(Message::of('planning.caution.isolated_tap'))
                ->turnedBy((int) ceil($travel->ratioTo($pitch) - 1e-9));
        }
        $seconds = 2 * 60 * $travel->ratioTo($pitch) / $cutting->speed->chosenRpm;

        return $step->danger(Message::of('planning.caution.power_tap'))
            ->spun($cutting, $job->machine)
            ->needing(
                Message::of('planning.needs.power_tap_follows', ['pitch_mm' => $pitch->inMm()]),
                Message::of($hole->through ? 'planning.needs.power_tap_through' : 'planning.needs.power_tap_blind', [
                    'travel_mm' => round($travel->inMm(), 1),
                    'room_mm' => round($pitch->times($hole->tapping->clearanceThreads())->inMm(), 1),
                ]),
            )
            ->lasting($seconds, Figure::number('time_s', 's', $seconds, 'tap.time', 't = 2 · 60 · travel / (p · n)', [
                'travel_mm' => $travel->inMm(), 'p_mm' => $pitch->inMm(), 'n_rpm' => $cutting->speed->chosenRpm,
            ])->teaching());
    }

    /** @return list<Message> what to try with a tap that broke, in this order, and when to stop (workshop practice) */
    private static function broken(bool $through): array
    {
        return array_map(static fn (string $what): Message => Message::of("planning.broken_tap.$what"), [
            'isolate', 'grip', ...($through ? ['from_below'] : []), 'fingers', 'never_drill', 'stop',
        ]);
    }
}
