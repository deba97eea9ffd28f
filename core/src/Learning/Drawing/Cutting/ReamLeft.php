<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** What the drill left and what the reamer takes, the difference drawn five times too large. */
final class ReamLeft extends CaseDrawing
{
    public static function name(): string
    {
        return 'ream_left';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $case = $scene->case();
        $drill = ($case->steps()['drill'] ?? null)?->diameter?->inMm();
        $bore = $case->bore()?->inMm();
        if ($drill === null || $bore === null || $bore <= $drill) {
            return null;
        }
        $shown = $bore - 5 * ($bore - $drill);
        $pen = new Pen($bore / 5);
        $pen->circle(Style::Outline, 0, 0, $bore / 2);
        $pen->circle(Style::Hidden, 0, 0, $shown / 2);
        for ($flute = 0; $flute < 6; $flute++) {
            $angle = M_PI / 3 * $flute;
            $pen->line(Style::Tool, 0.2 * $bore * cos($angle), 0.2 * $bore * sin($angle), $bore / 2 * cos($angle), $bore / 2 * sin($angle));
        }
        $pen->dimensionX(-$shown / 2, 0, $shown / 2, 0, $bore / 2 + $pen->letters(1.4), Message::of('learning.drawing.drilled'), $drill);
        $pen->dimensionX(-$bore / 2, 0, $bore / 2, 0, -$bore / 2 - $pen->letters(2), Message::of('learning.drawing.reamed'), $bore);

        return $pen->drawing('lesson.ream_left');
    }
}
