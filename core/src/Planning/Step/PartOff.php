<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
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

    /** @param  DialReading|null  $dial  the move as this lathe's dial makes it */
    public static function make(
        Job $job,
        Length $outside,
        Length $blade,
        Length $thickness,
        Length $cleanup,
        ?DialReading $dial,
        int $count,
    ): PlanStep {
        $move = $blade->plus($thickness)->plus($cleanup);
        $tool = Message::of('planning.tool.parting_blade');
        $terms = [
            'blade_mm' => $blade->inMm(), 'thickness_mm' => $thickness->inMm(), 'cleanup_mm' => $cleanup->inMm(),
            'move_mm' => $move->inMm(),
        ];
        $over = $dial !== null && $dial->error->isGreaterThan(Length::zero());
        $step = PlanStep::of('part_off', $tool, $dial === null ? Message::of('planning.why.move', $terms) : Message::of(
            $over ? 'planning.why.move_rounded_up' : 'planning.why.move_exactly',
            [...$terms, 'divisions' => $dial->divisions, 'over_mm' => round($dial->error->inMm(), 3)],
        ))
            ->beware(Message::of('planning.caution.parting'))
            ->sized($outside)
            ->spun($job->cut($tool, $outside, self::ROW, instead: 'planning.instead.saw_off'), $job->machine)
            ->shows(Figure::length('move_mm', $move, 'move', 'move = blade + thickness + cleanup', [
                'blade_mm' => $blade->inMm(), 'thickness_mm' => $thickness->inMm(), 'cleanup_mm' => $cleanup->inMm(),
            ]))
            ->wetted($job->material->lubricant->word())
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
}
