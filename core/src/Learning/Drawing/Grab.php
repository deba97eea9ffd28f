<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/**
 * The drill through the plate in four phases, to scale: in the metal, its point just out, the rim that is left hooking
 * into the flutes, and clear.
 */
final class Grab extends LessonDrawing
{
    /** How far apart the phases stand, in diameters. */
    private const APART = 2.6;

    private const SIDE = 1.05;

    public static function name(): string
    {
        return 'grab';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $radius = $hole->diameter()->inMm() / 2;
        $thick = $hole->thickness->inMm();
        $point = $hole->pointLength()->inMm();
        $step = 2 * $radius * self::APART;
        $pen = new Pen(4 * $step / 44);
        foreach (self::tips($thick, $point, $hole->travel()->inMm()) as $phase => $tip) {
            self::phase($pen, $phase * $step, $radius, $thick, $point, $tip, $phase === 2);
            $pen->text($phase * $step, -$hole->travel()->inMm() - $pen->letters(2), Message::of('learning.drawing.grab_'.($phase + 1)));
        }

        return $pen->drawing('lesson.grab');
    }

    /**
     * How deep the tip stands in each phase.
     *
     * @return list<float>
     */
    public static function tips(float $thick, float $point, float $clear): array
    {
        return [max($thick / 2, min($point, $thick)), $thick, $thick + 0.6 * $point, $clear];
    }

    private static function phase(Pen $pen, float $x, float $radius, float $thick, float $point, float $tip, bool $grabs): void
    {
        $side = 2 * $radius * self::SIDE;
        $shoulder = max(0.0, $tip - $point);
        // How wide the drill is where it goes through the upper and the lower face.
        $above = $radius * min(1.0, $tip / $point);
        $below = $tip > $thick ? $radius * min(1.0, ($tip - $thick) / $point) : 0.0;
        $sides = [];
        foreach ([-1, 1] as $s) {
            $edge = [[$x + $s * $side, 0.0], [$x + $s * $above, 0.0]];
            if ($shoulder > 0 && $shoulder < $thick) {
                $edge[] = [$x + $s * $radius, -$shoulder];
            }
            $edge[] = $tip > $thick ? [$x + $s * $below, -$thick] : [$x, -$tip];
            $sides[] = [...$edge, [$x + $s * $side, -$thick]];
            if ($grabs) {
                $pen->area(Style::Fault, [[$x + $s * $radius, -$shoulder], [$x + $s * $below, -$thick], [$x + $s * $radius, -$thick]]);
                $pen->upArrow(Style::Fault, $x + $s * 0.85 * $side, 0.15 * $radius, 0.9 * $radius);
            }
        }
        if ($tip > $thick) {
            $pen->area(Style::Outline, $sides[0], true);
            $pen->area(Style::Outline, $sides[1], true);
        } else {
            // The plate is still one: down one flank and up the other.
            $left = array_slice($sides[0], 0, -1);
            $right = array_reverse(array_slice($sides[1], 0, -2));
            $pen->area(Style::Outline, [
                ...$left, ...$right, [$x + $side, -$thick], [$x - $side, -$thick],
            ], true);
        }
        $top = 1.4 * $radius;
        $pen->path(Style::Tool, [
            [$x - $radius, $top], [$x - $radius, -($tip - $point)], [$x, -$tip], [$x + $radius, -($tip - $point)], [$x + $radius, $top],
        ]);
    }
}
