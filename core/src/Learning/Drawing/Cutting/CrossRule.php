<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A thin rule trapped between the point and the bar: it lies level on the top, and tips as soon as the bar is off. */
final class CrossRule extends CaseDrawing
{
    public static function name(): string
    {
        return 'cross_rule';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $radius = ($scene->case()->bar?->inMm() ?? 30.0) / 2;
        $pen = new Pen($radius / 4);
        foreach ([0.0, 6 * $radius] as $place => $x) {
            $tilt = $place === 0 ? 0.0 : deg2rad(14);
            [$ux, $uy] = [cos($tilt), sin($tilt)];
            $pen->circle(Style::Outline, $x, 0, $radius);
            $pen->centreMark($x, 0, $radius);
            [$px, $py] = [$x + $radius * sin($tilt), $radius * cos($tilt)];
            $pen->line(
                $place === 0 ? Style::Tool : Style::Fault,
                $px - 2 * $radius * $ux,
                $py + 2 * $radius * $uy,
                $px + 2 * $radius * $ux,
                $py - 2 * $radius * $uy,
            );
            $pen->area(Style::Tool, [[$px, $py + 0.05 * $radius], [$px + 0.25 * $radius, $py + 0.6 * $radius],
                [$px + 0.25 * $radius, $py + 1.2 * $radius],
                [$px - 0.25 * $radius, $py + 1.2 * $radius], [$px - 0.25 * $radius, $py + 0.6 * $radius]]);
            $pen->text($x, -$radius - $pen->letters(2.4), Message::of('learning.drawing.'.($place === 0 ? 'rule_level' : 'rule_tips')));
        }

        return $pen->drawing('lesson.cross_rule');
    }
}
