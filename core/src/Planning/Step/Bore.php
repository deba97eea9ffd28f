<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Lathe\BoringPasses;
use MillStep\Core\Workshop\BoringBar;

/** A drilled hole on the lathe opened to size by a bar, pass after pass, and measured before the last of them. */
final class Bore extends Kind
{
    /** A steel bar out further than this sings and cuts a bell; beyond the second it does not keep a size (workshop practice). */
    public const STEADY = 4.0;

    public const LIMIT = 6.0;

    /** A side; a bar bears about half of what a turning tool does (workshop practice). */
    private const ROUGH_MM = 0.5;

    private const FINISH_MM = 0.1;

    private const FEED_MM = 0.1;

    /** How far it runs past the far face, and what it needs besides to clear the work (workshop practice). */
    private const PAST_MM = 2.0;

    private const CLEAR_MM = 3.0;

    public static function names(): array
    {
        return ['bore'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'dial_divisions' => 'divisions'];
    }

    /**
     * @param  Length  $drilled  the hole that the bar goes into
     * @param  Length  $length  of the bore
     * @return list<PlanStep> none where the crib has no bar that goes in
     */
    public static function make(Job $job, HoleRequest $hole, Length $drilled, Length $length): array
    {
        $size = $hole->largest();
        $bar = $job->crib->boringBar($drilled);
        if ($bar === null) {
            $job->missing(Message::of('planning.lacks.boring_bar', ['drilled_mm' => $drilled->inMm()]));

            return [];
        }
        $travel = $hole->through ? $length->plus(Length::mm(self::PAST_MM)) : $length;
        $out = $travel->plus(Length::mm(self::CLEAR_MM));
        self::judge($job, $bar, $out);
        $passes = (new BoringPasses($drilled, $size, Length::mm(self::ROUGH_MM), Length::mm(self::FINISH_MM)))->compute()->passes;
        $tool = Message::of('planning.tool.boring_bar', ['bar_mm' => round($bar->thick->inMm(), 1)]);
        $cutting = $job->cut($tool, $size, 'boring');
        $job->setup([
            'tool' => 'boring_bar', 'hand_tool' => false, 'powered' => true, 'rpm' => $cutting->speed->chosenRpm,
            'operation_factor' => $cutting->factor, 'diameter_mm' => $size->inMm(), 'drilled_mm' => $drilled->inMm(),
            'bar_mm' => $bar->thick->inMm(), 'bar_out_mm' => $out->inMm(),
        ]);

        return [self::step($job, $hole, $tool, $drilled, $passes)
            ->needing(...self::needs($job, $hole, $bar, $out, $passes))
            ->spun($cutting, $job->machine)
            ->deep($length, Figure::length('depth_mm', $length, $hole->through ? 'bore.through' : 'bore.blind'))
            ->toTip($travel, Figure::length('total_depth_mm', $travel, $hole->through ? 'bore.past' : 'bore.blind', 'travel = L + past', [
                'L_mm' => $length->inMm(), 'past_mm' => $hole->through ? self::PAST_MM : 0.0,
            ]))
            ->lasting(60 * count($passes) * $travel->inMm() / (self::FEED_MM * $cutting->speed->chosenRpm), Figure::number(
                'time_s', 's', 60 * count($passes) * $travel->inMm() / (self::FEED_MM * $cutting->speed->chosenRpm), 'bore.time',
                't = 60 · passes · travel / (f · n)', [
                    'passes' => (float) count($passes), 'travel_mm' => $travel->inMm(), 'f_mm_rev' => self::FEED_MM,
                    'n_rpm' => $cutting->speed->chosenRpm,
                ],
            )->teaching())
            ->wetted($job->material->lubricant->word())];
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if ($step->diameter === null || $step->depth === null) {
            return;
        }
        $half = $step->diameter->inMm() / 2;
        $end = -min($section->thicknessMm, $step->depth->inMm());
        $pen->path(Style::Thin, [[-$half, 0], [-$half, $end], ...($section->through ? [] : [[$half, $end]]), ...[[$half, 0]]]);
    }

    /** @param  list<Length>  $passes */
    private static function step(Job $job, HoleRequest $hole, Message $tool, Length $drilled, array $passes): PlanStep
    {
        $deepest = ($passes[0] ?? $hole->largest())->minus($drilled)->times(0.5);
        $dial = $job->machine->crossSlide;
        $reading = $dial?->move($deepest, 'down');
        $step = PlanStep::of('bore', $tool, Message::of('planning.why.bored', ['count' => count($passes)]))
            ->beware(Message::of('planning.caution.boring_clear'), Message::of('planning.caution.hot_chips'))
            ->sized($hole->largest())
            ->turned($passes, Figure::length('passes_mm', $hole->largest(), 'bore.passes', 'cut = (D − d − 4 · finish) / 2 / passes', [
                'D_mm' => $hole->largest()->inMm(), 'd_mm' => $drilled->inMm(), 'finish_mm' => self::FINISH_MM,
                'passes' => (float) count($passes),
            ])->teaching());

        return $dial === null || $reading === null ? $step : $step->moved($reading)->because(Message::of(
            $dial->readsDiameter ? 'planning.why.first_bore_diameter' : 'planning.why.first_bore',
            ['a_side_mm' => round($deepest->inMm(), 3), 'divisions' => $reading->divisions],
        ));
    }

    /**
     * @param  list<Length>  $passes
     * @return list<Message>
     */
    private static function needs(Job $job, HoleRequest $hole, BoringBar $bar, Length $out, array $passes): array
    {
        $before = $passes[count($passes) - 2] ?? $hole->largest();

        return [
            Message::of($bar->known ? 'planning.needs.bar_out' : 'planning.needs.bar_taken', [
                'bar_mm' => round($bar->thick->inMm(), 1), 'out_mm' => round($out->inMm(), 1),
            ]),
            Message::of('planning.needs.bar_height'),
            Message::of('planning.needs.measure_before_last', [
                'before_mm' => round($before->inMm(), 2),
                'left_mm' => round($hole->largest()->minus($before)->inMm(), 2),
            ]),
            Message::of($hole->through ? 'planning.needs.bar_past' : 'planning.needs.bar_floor', [
                'past_mm' => self::PAST_MM, 'depth_mm' => round($hole->depth?->inMm() ?? $job->thickness->inMm(), 2),
            ]),
        ];
    }

    private static function judge(Job $job, BoringBar $bar, Length $out): void
    {
        $ratio = $out->ratioTo($bar->thick);
        $terms = ['bar_mm' => round($bar->thick->inMm(), 1), 'out_mm' => round($out->inMm(), 1), 'out_ratio' => round($ratio, 1)];
        if ($bar->reach?->isLessThan($out) === true) {
            $job->missing(Message::of('planning.lacks.bar_reach', [...$terms, 'reach_mm' => $bar->reach->inMm()]));
        } elseif ($ratio > self::LIMIT + 1e-9) {
            $job->missing(Message::of('planning.lacks.stout_bar', [...$terms, 'most_ratio' => self::LIMIT]));
        } elseif ($ratio > self::STEADY + 1e-9) {
            $job->warn(Message::of('planning.warns.bar_springs', [...$terms, 'steady_ratio' => self::STEADY]));
        }
    }
}
