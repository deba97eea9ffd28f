<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Both ends of a plug at the hole: the go end enters by its own push, the no-go stops at the chamfer. */
final class PlugFits extends CaseDrawing
{
    public static function name(): string
    {
        return 'plug_fits';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $bore = ($scene->case()->bore()?->inMm() ?? 10.0) / 2;
        $thick = max($scene->case()->thickness->inMm(), 3 * $bore);
        $pen = new Pen($bore / 1.6);
        foreach (['plug_go' => 0.0, 'plug_no_go' => 9 * $bore] as $name => $x) {
            foreach ([1, -1] as $side) {
                $pen->area(Style::Outline, [
                    [$x + $side * 3 * $bore, 0], [$x + $side * 1.2 * $bore, 0], [$x + $side * $bore, -0.25 * $bore],
                    [$x + $side * $bore, -$thick], [$x + $side * 3 * $bore, -$thick],
                ], true);
            }
            $go = $name === 'plug_go';
            $end = $go ? -0.8 * $thick : -0.15 * $bore;
            $wide = $go ? 0.98 * $bore : 1.06 * $bore;
            $pen->area(
                $go ? Style::Tool : Style::Fault,
                [[$x - $wide, $end], [$x + $wide, $end], [$x + $wide, 2 * $bore], [$x - $wide, 2 * $bore]],
            );
            $pen->text($x, -$thick - $pen->letters(1.8), Message::of("learning.drawing.$name"));
        }

        return $pen->drawing('lesson.plug_fits');
    }
}
