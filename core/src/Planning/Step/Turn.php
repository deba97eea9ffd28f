<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Lathe\TurningPasses;

/** The outside brought to size, the last pass a light one. */
final class Turn extends Kind
{
    public static function names(): array
    {
        return ['turn'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'dial_divisions' => 'divisions'];
    }

    public static function make(Job $job, Length $bar, Length $outside, Length $maxCut, Length $finishCut): PlanStep
    {
        $passes = (new TurningPasses($bar, $outside, $maxCut, $finishCut))->compute()->passes;
        $tool = Message::of('planning.tool.turning_tool');
        $deepest = $bar->minus($passes[0])->times(0.5);
        $dial = $job->machine->crossSlide;
        $reading = $dial?->move($deepest, 'down');
        $step = PlanStep::of('turn', $tool, Message::of('planning.why.passes', ['count' => count($passes)]));
        if ($dial !== null && $reading !== null) {
            $step = $step->moved($reading)->because(Message::of(
                $dial->readsDiameter ? 'planning.why.first_pass_diameter' : 'planning.why.first_pass',
                ['a_side_mm' => round($deepest->inMm(), 3), 'divisions' => $reading->divisions],
            ));
        }

        return $step
            ->beware(Message::of('planning.caution.hot_chips'))
            ->sized($outside)
            ->spun($job->cut($tool, $bar, 'drilling'), $job->machine)
            ->wetted($job->material->lubricant->word())
            ->turned($passes, Figure::length(
                'passes_mm',
                $outside,
                'passes',
                'cut = (D − d − 2 · finish) / 2 / passes',
                [
                    'D_mm' => $bar->inMm(),
                    'd_mm' => $outside->inMm(),
                    'finish_mm' => $finishCut->inMm(),
                    'passes' => (float) count($passes),
                ],
            ));
    }
}
