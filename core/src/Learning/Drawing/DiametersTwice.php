<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A drilled hole is never quite round: measured twice, a quarter turn apart. */
final class DiametersTwice extends LessonDrawing
{
    /** Far more than a real hole, so that it is seen. */
    private const LOBE = 0.04;

    public static function name(): string
    {
        return 'diameters_twice';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $d = $scene->hole()->diameter()->inMm();
        $pen = Pen::forSize(2.4 * $d);
        $points = [];
        foreach (range(0, 72) as $i) {
            $angle = 2 * M_PI * $i / 72;
            $radius = $d / 2 * (1 + self::LOBE * cos(3 * $angle));
            $points[] = [$radius * cos($angle), $radius * sin($angle)];
        }
        $pen->path(Style::Outline, $points);
        $pen->centreMark(0, 0, $d / 2);
        $pen->line(Style::Tool, -$d / 2, 0, $d / 2, 0);
        $pen->line(Style::Tool, 0, -$d / 2, 0, $d / 2);
        $pen->text($d / 2 + $pen->letters(1.2), -$pen->letters(0.4), '1', 'start');
        $pen->text(0, $d / 2 + $pen->letters(1.2), '2');

        return $pen->drawing('lesson.diameters_twice');
    }
}
