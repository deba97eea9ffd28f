<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The bar in its jaws, to scale: how much they hold, how far it stands out, and how far it may. */
final class JawsOverhang extends CaseDrawing
{
    public static function name(): string
    {
        return 'jaws_overhang';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $case = $scene->case();
        $out = $case->out()?->inMm();
        $most = $case->mayStandOut()?->inMm();
        $bar = $case->bar?->inMm();
        if ($out === null || $most === null || $bar === null) {
            return null;
        }
        $half = $bar / 2;
        $pen = Pen::forSize($bar + max($out, $most));
        foreach ([1, -1] as $side) {
            $pen->area(
                Style::Thin,
                [[-$bar, $side * $half], [0, $side * $half], [0, $side * 1.7 * $half], [-$bar, $side * 1.7 * $half]],
                true,
            );
        }
        $pen->area(Style::Outline, [[-$bar, -$half], [$out, -$half], [$out, $half], [-$bar, $half]]);
        $pen->line(Style::Centre, -$bar, 0, max($out, $most) + $pen->letters(1), 0);
        $pen->line($out > $most ? Style::Fault : Style::Hidden, $most, -1.3 * $half, $most, 1.3 * $half);
        $pen->dimensionX(
            -$bar,
            1.7 * $half,
            0,
            1.7 * $half,
            1.7 * $half + $pen->letters(1.4),
            Message::of('learning.drawing.gripped'),
            $bar,
        );
        $pen->dimensionX(0, -$half, $out, -$half, -1.7 * $half - $pen->letters(1.6), Message::of('learning.drawing.stands_out'), $out);
        $pen->dimensionX(0, -$half, $most, -$half, -1.7 * $half - $pen->letters(4.4), Message::of('learning.drawing.may_stand_out'), $most);

        return $pen->drawing('lesson.jaws_overhang');
    }
}
