<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Style;

/** The depth scale at the touch: where everything is counted from, at the reading that the learner took. */
final class ScaleTouch extends LessonDrawing
{
    public static function name(): string
    {
        return 'scale_touch';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $touch = $scene->touch ?? Length::zero();
        $end = $hole->readingFrom($touch);
        $pen = DepthScale::pen($hole->machine->scale, $touch, $end);
        DepthScale::draw($pen, $hole->machine->scale, $touch, $end);
        DepthScale::point($pen, Style::Tool, $touch);
        $pen->text($pen->letters(8.4), -$touch->inMm() - $pen->letters(0.35), Message::of(
            $scene->touch === null ? 'learning.drawing.touch_unread' : 'learning.drawing.touch',
            ['reading' => $hole->machine->scale->name($touch)],
        ), 'start');

        return $pen->drawing('lesson.scale_touch');
    }
}
