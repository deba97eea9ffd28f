<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Learning\Drawing\PlainDrawing;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A scroll chuck opened: each jaw in the slot of its own number, one, two, three in turn. */
final class JawSlots extends PlainDrawing
{
    public static function name(): string
    {
        return 'jaw_slots';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(5.0);
        $pen->circle(Style::Outline, 0, 0, 40);
        $pen->circle(Style::Outline, 0, 0, 12);
        foreach ([1, 2, 3] as $jaw) {
            $angle = deg2rad(90 - 120 * ($jaw - 1));
            [$ux, $uy] = [cos($angle), sin($angle)];
            $corner = static fn (float $out, float $aside): array => [$ux * $out - $uy * $aside, $uy * $out + $ux * $aside];
            $pen->area(Style::Tool, [$corner(14, 5), $corner(36, 5), $corner(36, -5), $corner(14, -5)]);
            $pen->text($ux * 50, $uy * 50 - 2.5, (string) $jaw);
            $pen->circle(Style::Thin, $ux * 40 * 0.5 + $uy * 14, $uy * 40 * 0.5 - $ux * 14, 2.2);
        }
        $pen->text(0, -40 - $pen->letters(3.4), Message::of('learning.drawing.jaw_in_its_slot'));

        return $pen->drawing('lesson.jaw_slots');
    }
}
