<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** What lies under the hole, to scale: the drill ends in scrap or in the gap, never in the table, a clamp or a parallel. */
final class UnderTheHole extends LessonDrawing
{
    public static function name(): string
    {
        return 'under_the_hole';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $d = $hole->diameter()->inMm();
        $thick = $hole->thickness->inMm();
        $tip = $hole->travel()->inMm();
        $scrap = max(1.6 * ($tip - $thick), 8.0);
        $side = 5 * $d;
        $pen = Pen::forSize(2.4 * $side);
        self::box($pen, Style::Outline, -$side, -$thick, $side, 0, true);
        self::box($pen, Style::Thin, -0.9 * $side, -$thick - $scrap, 0.9 * $side, -$thick);
        $low = -$thick - $scrap;
        foreach ([[-$side * 1.1, -0.35 * $side], [0.35 * $side, $side * 1.1]] as [$left, $right]) {
            self::box($pen, Style::Outline, $left, $low - 8, $right, $low, true);
        }
        $pen->path(Style::Tool, [
            [-$d / 2, 1.2 * $d], [-$d / 2, -($tip - $hole->pointLength()->inMm())], [0, -$tip],
            [$d / 2, -($tip - $hole->pointLength()->inMm())], [$d / 2, 1.2 * $d],
        ]);
        $pen->text(-0.65 * $side, -$thick / 2 - $pen->letters(0.3), Message::of('learning.drawing.work'));
        $pen->text(-0.6 * $side, -$thick - $scrap / 2 - $pen->letters(0.3), Message::of('learning.drawing.scrap'));
        $pen->text(-0.72 * $side, $low - 8 - $pen->letters(1.3), Message::of('learning.drawing.table'));
        $pen->text(0, $low - 8 - $pen->letters(1.3), Message::of('learning.drawing.table_hole'));

        return $pen->drawing('lesson.under_the_hole');
    }

    private static function box(Pen $pen, Style $style, float $left, float $low, float $right, float $high, bool $hatched = false): void
    {
        $pen->area($style, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]], $hatched);
    }
}
