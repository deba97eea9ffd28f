<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill through a bar to scale: it starts on a slope if it is off, and comes out at the sides before it is through. */
final class CrossBreakout extends CaseDrawing
{
    public static function name(): string
    {
        return 'cross_breakout';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $case = $scene->case();
        $radius = ($case->bar?->inMm() ?? 30.0) / 2;
        $drill = (($case->steps()['drill'] ?? null)?->diameter?->inMm() ?? 4.0) / 2;
        $pen = Pen::forSize(3 * $radius);
        $pen->circle(Style::Outline, 0, 0, $radius);
        $point = $drill / tan(deg2rad(59));
        $bottom = -sqrt(max(0.0, $radius ** 2 - $drill ** 2));
        $pen->path(
            Style::Tool,
            [[-$drill, $radius + 2 * $drill], [-$drill, $bottom], [0, $bottom - $point], [$drill, $bottom], [$drill, $radius + 2 * $drill]],
        );
        foreach ([-1, 1] as $side) {
            $pen->line(Style::Fault, $side * $drill, $bottom, $side * 2.6 * $drill, -sqrt(max(0.0, $radius ** 2 - (2.6 * $drill) ** 2)));
        }
        $pen->line(Style::Centre, 0, $radius + 3 * $drill, 0, -$radius - 2 * $drill);
        $pen->text($radius + $pen->letters(1), -0.9 * $radius, Message::of('learning.drawing.out_sideways'), 'start');

        return $pen->drawing('lesson.cross_breakout');
    }
}
