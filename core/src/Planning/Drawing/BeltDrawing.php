<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Workshop\MachineSpec;

/**
 * The two cone pulleys of a machine from the side, with the belt on the step for a speed. The widths of the steps follow
 * from the speeds: their product with those of the other cone gives each ratio, and a belt is as long on every step.
 */
final class BeltDrawing
{
    /** What a cone pulley has at most; more speeds than that come from a second belt or from gears. */
    private const MOST_STEPS = 6;

    private const STEP_HIGH = 10.0;

    private const BELT_HIGH = 5.0;

    private const WIDEST = 60.0;

    private const LETTERS = 10.0;

    /** Null for a machine without cone pulleys, or of which nobody said which way up they are. */
    public static function of(MachineSpec $machine, float $rpm): ?Drawing
    {
        $speeds = $machine->speeds->all();
        $at = array_search($rpm, $speeds, true);
        $steps = count($speeds);
        if ($machine->fastestBelt === null || $machine->speedChange !== 'stopped_and_isolated' || $at === false
            || $steps < 2 || $steps > self::MOST_STEPS) {
            return null;
        }
        $motorRpm = sqrt($speeds[0] * $speeds[$steps - 1]);
        $pen = new Pen(self::LETTERS);
        $apart = 2.4 * self::WIDEST;
        foreach ($speeds as $index => $speed) {
            $low = ($machine->fastestBelt === 'top' ? $index : $steps - 1 - $index) * self::STEP_HIGH;
            $ratio = $speed / $motorRpm;
            // Driving and driven width share a sum, so that the belt fits every step.
            $motor = self::WIDEST * $ratio / (1 + $ratio);
            $spindle = self::WIDEST - $motor;
            self::step($pen, 0, $low, $motor);
            self::step($pen, $apart, $low, $spindle);
            if ($index === $at) {
                $middle = $low + self::STEP_HIGH / 2;
                $pen->area(Style::Tool, [
                    [-$motor / 2, $middle - self::BELT_HIGH / 2], [$apart + $spindle / 2, $middle - self::BELT_HIGH / 2],
                    [$apart + $spindle / 2, $middle + self::BELT_HIGH / 2], [-$motor / 2, $middle + self::BELT_HIGH / 2],
                ], true);
            }
        }
        $pen->text(0, -$pen->letters(1.6), Message::of('planning.drawing.motor'));
        $pen->text($apart, -$pen->letters(1.6), Message::of('planning.drawing.spindle'));

        return $pen->drawing('belt');
    }

    private static function step(Pen $pen, float $x, float $low, float $wide): void
    {
        $pen->area(Style::Outline, [
            [$x - $wide / 2, $low], [$x + $wide / 2, $low],
            [$x + $wide / 2, $low + self::STEP_HIGH], [$x - $wide / 2, $low + self::STEP_HIGH],
        ]);
    }
}
