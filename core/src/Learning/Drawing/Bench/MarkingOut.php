<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The part from above, its datum edges heavy, every mark measured from them. */
final class MarkingOut extends LessonDrawing
{
    public static function name(): string
    {
        return 'marking_out';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function wantsPart(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $part = $scene->part();
        $outline = $part->outline();
        $about = $part->mark();
        if ($outline === null || $about === null) {
            return null;
        }
        [$long, $wide] = [$outline->x->inMm(), $outline->y->inMm()];
        $pen = Pen::forSize($long * 1.2);
        $pen->area(Style::Thin, [[0, 0], [$long, 0], [$long, $wide], [0, $wide]]);
        $pen->path(Style::Tool, [[0, $wide], [0, 0], [$long, 0]]);
        foreach ($part->marks as $mark) {
            $pen->circle(Style::Outline, $mark->x->inMm(), $mark->y->inMm(), $mark->diameter->inMm() / 2);
            $pen->centreMark($mark->x->inMm(), $mark->y->inMm(), $mark->diameter->inMm() / 2);
        }
        $pen->dimensionX(0, 0, $about->x->inMm(), $about->y->inMm(), -$pen->letters(2));
        $pen->dimensionY(0, 0, $about->x->inMm(), $about->y->inMm(), -$pen->letters(2));
        $pen->text($long / 2, -$pen->letters(4.2), Message::of('learning.drawing.datum'));

        return $pen->drawing('lesson.marking_out');
    }
}
