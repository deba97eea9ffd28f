<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Two people's readings on one rule: close together they stand, far apart both read again. */
final class TwoReaders extends PlainDrawing
{
    public static function name(): string
    {
        return 'two_readers';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(4.0);
        foreach ([0.0, -34.0] as $place => $y) {
            $pen->line(Style::Outline, 0, $y, 110, $y);
            for ($i = 0; $i <= 22; $i++) {
                $pen->line(Style::Thin, $i * 5, $y, $i * 5, $y + ($i % 5 === 0 ? 6 : 3));
            }
            $apart = $place === 0 ? 4.0 : 26.0;
            $pen->downArrow($place === 0 ? Style::Tool : Style::Fault, 50, $y + 18, 9);
            $pen->downArrow($place === 0 ? Style::Tool : Style::Fault, 50 + $apart, $y + 18, 9);
            $pen->text(114, $y + 4, Message::of('learning.drawing.'.($place === 0 ? 'readers_agree' : 'readers_again')), 'start');
        }

        return $pen->drawing('lesson.two_readers');
    }
}
