<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The tailstock ready to feed: clamped to the bed, its spindle out so far that the taper holds. */
final class Tailstock extends CaseDrawing
{
    public static function name(): string
    {
        return 'tailstock';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $least = $scene->case()->policy->tailstockLeastOut->inMm();
        $pen = new Pen(max(4.0, $least / 8));
        $body = 60.0;
        $pen->area(Style::Outline, [[0, -46], [$body, -46], [$body - 6, 14], [8, 14]]);
        $pen->area(Style::Outline, [[-90, -46], [90, -46], [90, -58], [-90, -58]]);
        $pen->area(Style::Tool, [[-$least, -8], [4, -8], [4, 8], [-$least, 8]]);
        $pen->area(Style::Tool, [[-$least - 26, -6], [-$least, -6], [-$least, 6], [-$least - 26, 6]]);
        $pen->area(Style::Tool, [[-$least - 34, -3], [-$least - 26, -3], [-$least - 26, 3], [-$least - 34, 3]]);
        $pen->circle(Style::Outline, $body + 10, 0, 16);
        $pen->line(Style::Centre, -$least - 40, 0, $body + 30, 0);
        $pen->area(Style::Fault, [[24, -46], [34, -46], [34, -38], [24, -38]]);
        $pen->dimensionX(-$least, 8, 0, 8, 8 + $pen->letters(2.4), Message::of('learning.drawing.at_least_out'), $least);
        $pen->text(30, -58 - $pen->letters(1.6), Message::of('learning.drawing.clamped_to_bed'));
        $pen->text($body + 10, 20, Message::of('learning.drawing.feeds'));

        return $pen->drawing('lesson.tailstock');
    }
}
