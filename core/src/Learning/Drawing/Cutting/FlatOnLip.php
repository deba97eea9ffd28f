<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A lip from its side: sharp it hooks and screws itself in; with a small flat it scrapes. */
final class FlatOnLip extends PlainDrawing
{
    public static function name(): string
    {
        return 'flat_on_lip';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        foreach ([0.0, 100.0] as $place => $x) {
            $pen->area(Style::Outline, [[$x - 36, 0], [$x + 44, 0], [$x + 44, -18], [$x - 36, -18]], true);
            $edge = $place === 0 ? [
                [$x, 0],
                [$x - 16, 42],
                [$x + 22, 42],
                [$x + 6, 2],
            ] : [[$x, 0], [$x, 14], [$x - 12, 42], [$x + 26, 42], [$x + 8, 2]];
            $pen->area($place === 0 ? Style::Fault : Style::Tool, $edge);
            $pen->text($x + 2, -18 - $pen->letters(1.8), Message::of('learning.drawing.'.($place === 0 ? 'lip_hooks' : 'lip_flat')));
        }

        return $pen->drawing('lesson.flat_on_lip');
    }
}
