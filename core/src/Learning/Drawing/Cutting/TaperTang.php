<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A taper shank in its spindle with the tang in the slot, and the drift with its round edge to the round end. */
final class TaperTang extends PlainDrawing
{
    public static function name(): string
    {
        return 'taper_tang';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(9.0);
        $pen->area(Style::Outline, [[-24, 0], [-24, 120], [24, 120], [24, 0], [11, 0], [7, 84], [-7, 84], [-11, 0]]);
        $pen->area(Style::Tool, [[-11, -4], [-7, 82], [-4, 84], [-4, 98], [4, 98], [4, 84], [7, 82], [11, -4], [9, -40], [-9, -40]]);
        $pen->area(Style::Thin, [[-9, 84], [-9, 106], [9, 106], [9, 84]]);
        $pen->area(Style::Fault, [[-50, 104], [40, 99], [40, 96], [-50, 88]]);
        $pen->line(Style::Centre, 0, -46, 0, 126);
        $pen->text(54, 96, Message::of('learning.drawing.drift'), 'start');
        $pen->text(30, 78, Message::of('learning.drawing.tang'), 'start');
        $pen->text(30, 36, Message::of('learning.drawing.taper_holds'), 'start');
        $pen->area(Style::Outline, [[-40, -52], [40, -52], [40, -60], [-40, -60]], true);
        $pen->text(0, -60 - $pen->letters(1.6), Message::of('learning.drawing.wood_below'));

        return $pen->drawing('lesson.taper_tang');
    }
}
