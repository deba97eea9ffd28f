<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill measured across its lips, where its corners are, to scale; not on the worn shank. */
final class ShankInCaliper extends LessonDrawing
{
    public static function name(): string
    {
        return 'across_the_lips';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $d = $scene->hole()->diameter()->inMm();
        $point = $scene->hole()->pointLength()->inMm();
        $pen = Pen::forSize(5 * $d);
        $half = $d / 2;
        $pen->path(Style::Tool, [[-$half, 2.4 * $d], [-$half, 0], [0, -$point], [$half, 0], [$half, 2.4 * $d]]);
        foreach ([-1, 1] as $s) {
            $pen->area(Style::Outline, [
                [$s * $half, -0.15 * $d], [$s * $half, 0.6 * $d], [$s * ($half + 0.5 * $d), 0.6 * $d], [$s * ($half + 0.5 * $d), -1.6 * $d],
                [$s * ($half + 0.2 * $d), -1.6 * $d],
            ], true);
        }
        $pen->dimensionX(-$half, 0.6 * $d, $half, 0.6 * $d, 2.4 * $d + $pen->letters(1.2), '⌀ ', $d);
        $pen->text($half + 0.6 * $d, 0, Message::of('learning.drawing.at_the_corners'), 'start');

        return $pen->drawing('lesson.across_the_lips');
    }
}
