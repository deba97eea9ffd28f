<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A bore reamed with the tailstock off the middle: wide at the mouth, to size further in. */
final class BellMouth extends CaseDrawing
{
    public static function name(): string
    {
        return 'bell_mouth';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $bore = ($scene->case()->bore()?->inMm() ?? 10.0) / 2;
        $long = $scene->case()->thickness->inMm();
        $pen = Pen::forSize(max(6 * $bore, $long));
        foreach ([0.0, $long + 5 * $bore] as $place => $x) {
            $mouth = $place === 0 ? $bore : 1.25 * $bore;
            foreach ([1, -1] as $side) {
                $pen->area($place === 0 ? Style::Outline : Style::Fault, [
                    [$x, $side * 2.4 * $bore], [$x, $side * $mouth], [$x + 0.5 * $long, $side * $bore], [$x + $long, $side * $bore],
                    [$x + $long, $side * 2.4 * $bore],
                ], true);
            }
            $pen->line(Style::Centre, $x - $pen->letters(1), 0, $x + $long + $pen->letters(1), 0);
            $pen->text(
                $x + $long / 2,
                -2.4 * $bore - $pen->letters(1.8),
                Message::of('learning.drawing.'.($place === 0 ? 'bore_true' : 'bore_bell')),
            );
        }

        return $pen->drawing('lesson.bell_mouth');
    }
}
