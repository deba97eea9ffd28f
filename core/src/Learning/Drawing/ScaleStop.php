<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Style;

/** The depth scale from the touch to the stop, and where the tip comes out below: from there it eases. */
final class ScaleStop extends LessonDrawing
{
    public static function name(): string
    {
        return 'scale_stop';
    }

    public static function tells(): bool
    {
        return true;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $touch = $scene->touch ?? Length::zero();
        $ease = $hole->easeFrom($touch);
        $stop = $hole->readingFrom($touch);
        $scale = $hole->machine->scale;
        $pen = DepthScale::pen($scale, $touch, $stop);
        DepthScale::draw($pen, $scale, $touch, $stop);
        DepthScale::point($pen, Style::Outline, $touch);
        DepthScale::point($pen, Style::Fault, $ease);
        DepthScale::point($pen, Style::Tool, $stop);
        $x = $pen->letters(8.4);
        $taken = Message::of('learning.drawing.touch', ['reading' => $scale->name($touch)]);
        $pen->text($x, -$touch->inMm() - $pen->letters(0.35), $taken, 'start');
        $pen->text($x, -$ease->inMm() - $pen->letters(0.35), Message::of('learning.drawing.ease'), 'start', $ease->inMm());
        $pen->text($x, -$stop->inMm() - $pen->letters(0.35), Message::of('learning.drawing.stop'), 'start', $stop->inMm());

        return $pen->drawing('lesson.scale_stop');
    }
}
