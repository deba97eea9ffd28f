<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drill in this sheet: its point is out before its corners cut, and between boards they are guided. */
final class SheetCorners extends CaseDrawing
{
    public static function name(): string
    {
        return 'sheet_corners';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $case = $scene->case();
        $radius = ($case->bore()?->inMm() ?? 8.0) / 2;
        $thick = $case->thickness->inMm();
        $point = $radius / tan(deg2rad(59));
        $pen = new Pen($radius / 2.4);
        foreach ([0.0, 7.5 * $radius] as $place => $x) {
            // The tip stands below by as much as the corners still have to go down to the face.
            foreach ([1, -1] as $side) {
                $cut = max(0.0, $radius * (1 - $thick / $point));
                $pen->area(Style::Outline, [[$x + $side * 3 * $radius, 0], [$x + $side * $radius, 0], [$x + $side * $cut, -$thick],
                    [$x + $side * 3 * $radius, -$thick]], true);
                if ($place === 1) {
                    $pen->area(Style::Thin, [[$x + $side * 3 * $radius, 0], [$x + $side * $radius, 0],
                        [$x + $side * $radius, 1.4 * $radius],
                        [$x + $side * 3 * $radius, 1.4 * $radius]], true);
                    $pen->area(Style::Thin, [[$x + $side * 3 * $radius, -$thick], [$x + $side * $cut, -$thick], [$x, -$point],
                        [$x, -$thick - 1.4 * $radius], [$x + $side * 3 * $radius, -$thick - 1.4 * $radius]], true);
                }
            }
            $pen->path($place === 0 ? Style::Fault : Style::Tool, [
                [$x - $radius, 2.4 * $radius], [$x - $radius, 0], [$x, -$point], [$x + $radius, 0], [$x + $radius, 2.4 * $radius],
            ]);
            $pen->text(
                $x,
                -$thick - 1.4 * $radius - $pen->letters(2),
                Message::of('learning.drawing.'.($place === 0 ? 'sheet_bare' : 'sheet_boards')),
            );
        }

        return $pen->drawing('lesson.sheet_corners');
    }
}
