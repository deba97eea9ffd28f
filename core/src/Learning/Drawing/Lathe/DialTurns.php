<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The handwheel's dial of this lathe, with as many divisions as it has, and where one move ends. */
final class DialTurns extends CaseDrawing
{
    public static function name(): string
    {
        return 'dial_turns';
    }

    public static function tells(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $dial = $scene->case()->machine->carriage;
        $step = $scene->case()->steps()['part_off'] ?? $scene->case()->steps()['turn'] ?? null;
        if ($dial === null || $step?->dialDivisions === null) {
            return null;
        }
        $pen = new Pen(5.0);
        $pen->circle(Style::Outline, 0, 0, 40);
        $pen->circle(Style::Thin, 0, 0, 8);
        $each = max(1, intdiv($dial->divisionsPerTurn, 50));
        for ($line = 0; $line < $dial->divisionsPerTurn; $line += $each) {
            $long = $line % ($each * 5) === 0;
            [$ux, $uy] = self::towards($line, $dial->divisionsPerTurn);
            $pen->line($long ? Style::Outline : Style::Thin, 40 * $ux, 40 * $uy, ($long ? 33 : 36) * $ux, ($long ? 33 : 36) * $uy);
            if ($line % ($each * 10) === 0) {
                $pen->text(27 * $ux, 27 * $uy - 2, (string) $line);
            }
        }
        [$ux, $uy] = self::towards($step->dialDivisions % $dial->divisionsPerTurn, $dial->divisionsPerTurn);
        $pen->line(Style::Tool, 10 * $ux, 10 * $uy, 46 * $ux, 46 * $uy);
        $pen->line(Style::Centre, 0, 34, 0, 52);
        $pen->text(0, -42 - $pen->letters(1.8), $step->dialReading ?? '');

        return $pen->drawing('lesson.dial_turns');
    }

    /** @return array{float, float} from the dial's middle, the nought on top, on with the clock */
    private static function towards(int $line, int $all): array
    {
        $angle = M_PI / 2 - 2 * M_PI * $line / $all;

        return [cos($angle), sin($angle)];
    }
}
