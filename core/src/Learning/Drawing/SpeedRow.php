<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The speeds of this machine in a row, each as far from the next as their ratio is: what is wanted, and the next one down. */
final class SpeedRow extends LessonDrawing
{
    private const WIDE = 100.0;

    private const HIGH = 12.0;

    public static function name(): string
    {
        return 'speed_row';
    }

    public static function tells(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $hole = $scene->hole();
        $speeds = $hole->machine->speeds->all();
        $wanted = $hole->drill->figure('rpm')?->terms['n_rpm'] ?? null;
        $chosen = $hole->drill->rpm;
        if (! is_float($wanted) || $chosen === null || count($speeds) < 2) {
            return null;
        }
        $pen = new Pen(3.2);
        $ends = [min($speeds[0], $wanted), max($speeds[count($speeds) - 1], $wanted)];
        $at = static fn (float $rpm): float => self::WIDE * log($rpm / $ends[0]) / log($ends[1] / $ends[0]);
        $pen->line(Style::Outline, 0, 0, self::WIDE, 0);
        foreach ($speeds as $rpm) {
            $is = abs($rpm - $chosen) < 1e-6;
            $over = $rpm > $wanted + 1e-6;
            $style = $is ? Style::Tool : ($over ? Style::Fault : Style::Outline);
            $pen->line($style, $at($rpm), 0, $at($rpm), $is ? self::HIGH : self::HIGH / 2);
            $pen->text($at($rpm), -$pen->letters(1.4), (string) round($rpm));
        }
        $pen->downArrow(Style::Outline, $at($wanted), self::HIGH * 1.6, self::HIGH * 0.5);
        $pen->text($at($wanted), self::HIGH * 1.7, Message::of('learning.drawing.wanted_rpm', ['wanted_rpm' => floor($wanted)]));
        $pen->text($at($chosen), -$pen->letters(2.9), Message::of('learning.drawing.set_this'));

        return $pen->drawing('lesson.speed_row');
    }
}
