<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Workshop\DialReading;

/** The pieces cut off one after the other, each move in whole divisions of this lathe's dial. */
final class PartOff extends Kind
{
    /** Parting by hand runs at about half the speed of drilling; the table has no row for it, this one has that figure. */
    private const ROW = 'counterboring';

    public static function names(): array
    {
        return ['part_off'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'dial_divisions' => 'divisions'];
    }

    public static function toolTells(): bool
    {
        return true;
    }

    /**
     * @param  DialReading|null  $dial  the move as this lathe's dial makes it
     * @param  Length  $bore  nothing for a solid piece
     */
    public static function make(
        Job $job,
        Length $outside,
        Length $blade,
        Length $thickness,
        Length $cleanup,
        ?DialReading $dial,
        int $count,
        Length $bore,
        LatheSupport $support,
    ): PlanStep {
        $into = $outside->minus($bore)->times(0.5);
        $move = $blade->plus($thickness)->plus($cleanup);
        $tool = Message::of('planning.tool.parting_blade');
        $cutting = $job->cut($tool, $outside, self::ROW, instead: 'planning.instead.saw_off');
        self::judge($job, $blade, $outside, $into, $support, $cutting);
        $terms = [
            'blade_mm' => $blade->inMm(), 'thickness_mm' => $thickness->inMm(), 'cleanup_mm' => $cleanup->inMm(),
            'move_mm' => $move->inMm(),
        ];
        // The dial moves in whole divisions; what it moves over, the piece has too much, as it has the clean-up.
        $raw = ($dial->actual ?? $move)->minus($blade);
        $over = $dial !== null && $dial->error->isGreaterThan(Length::zero());
        $step = PlanStep::of('part_off', $tool, $dial === null ? Message::of('planning.why.move', $terms) : Message::of(
            $over ? 'planning.why.move_rounded_up' : 'planning.why.move_exactly',
            [...$terms, 'divisions' => $dial->divisions, 'over_mm' => round($dial->error->inMm(), 3)],
        ))
            ->danger(Message::of('planning.caution.parting'))
            ->sized($outside)
            ->deep($into, Figure::length('depth_mm', $into, 'parting', 'depth = (D − d) / 2', [
                'D_mm' => $outside->inMm(), 'd_mm' => $bore->inMm(), 'blade_mm' => $blade->inMm(),
                'reach_mm' => $blade->times($job->policy->bladeReachRatio)->inMm(),
            ])->teaching())
            ->spun($cutting, $job->machine)
            ->shows(Figure::length('move_mm', $move, 'move', 'move = blade + thickness + cleanup', [
                'blade_mm' => $blade->inMm(), 'thickness_mm' => $thickness->inMm(), 'cleanup_mm' => $cleanup->inMm(),
            ]))
            ->wetted($job->material->lubricant->word())
            ->needing(
                Message::of('planning.needs.blade_zero', ['move_mm' => round(($dial->actual ?? $move)->inMm(), 2)]),
                ...($raw->isGreaterThan($thickness) ? [Message::of('planning.needs.comes_off', [
                    'raw_mm' => round($raw->inMm(), 2),
                    'over_mm' => round($raw->minus($thickness)->inMm(), 2),
                    'thickness_mm' => $thickness->inMm(),
                ])] : []),
            )
            ->times($count);

        return $dial === null || $job->machine->carriage === null ? $step : $step->moved($dial)->shows(
            Figure::number('dial_divisions', 'divisions', $dial->divisions, 'dial', 'divisions = move / graduation', [
                'move_mm' => $move->inMm(),
                'graduation_mm' => $job->machine->carriage->graduation->inMm(),
                'turns' => (float) $dial->turns,
                'rest' => (float) $dial->remainderDivisions,
                'over_mm' => $dial->error->inMm(),
            ]),
        );
    }

    /** A blade that is narrow for its reach breaks; a piece between two holds cannot fall free and jams it. */
    private static function judge(
        Job $job,
        Length $blade,
        Length $outside,
        Length $into,
        LatheSupport $support,
        Cutting $cutting,
    ): void {
        $ratio = $job->policy->bladeReachRatio;
        $reach = $blade->times($ratio);
        if ($into->isGreaterThan($reach)) {
            $job->missing(Message::of('planning.lacks.blade_reach', [
                'blade_mm' => $blade->inMm(), 'reach_mm' => $reach->inMm(), 'widths_ratio' => $ratio,
                'into_mm' => round($into->inMm(), 1), 'least_mm' => ceil(10 * $into->inMm() / $ratio - 1e-9) / 10,
            ]));
        }
        if ($support === LatheSupport::Tailstock) {
            $job->missing(Message::of('planning.lacks.parting_on_centre'));
        }
        $job->setup([
            'tool' => 'parting_blade', 'hand_tool' => false, 'powered' => true, 'holding' => 'three_jaw_chuck',
            'diameter_mm' => $outside->inMm(), 'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor,
            'blade_mm' => $blade->inMm(),
            'parting_depth_mm' => $into->inMm(), 'end_on_centre' => $support === LatheSupport::Tailstock,
        ]);
    }
}
