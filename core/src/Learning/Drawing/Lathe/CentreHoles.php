<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Bound\TeachingFigures;
use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** Centre holes by this centre drill: too shallow, right, too deep, and what the live centre bears on in each. */
final class CentreHoles extends CaseDrawing
{
    public static function name(): string
    {
        return 'centre_holes';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $drill = TeachingFigures::centreDrill($scene->case());
        if ($drill === null) {
            return null;
        }
        [$pilot, $body] = [$drill->shape->pilot->inMm() / 2, $drill->shape->body->inMm() / 2];
        $flare = ($body - $pilot) / tan(deg2rad(30));
        $deep = $drill->pilotLength->inMm();
        $apart = 5.2 * $body;
        $pen = new Pen($body / 2.4);
        $x = -$apart;
        foreach (['centre_shallow' => 0.3, 'centre_right' => 0.85, 'centre_deep' => 1.4] as $name => $share) {
            $x += $apart;
            $cone = min(1.0, $share) * $flare;
            $straight = max(0.0, $share - 1) * $flare;
            $mouth = $pilot + min(1.0, $share) * ($body - $pilot);
            $bottom = $straight + $cone + $deep;
            foreach ([-1, 1] as $s) {
                $pen->area(Style::Outline, [
                    [$x + $s * 1.9 * $body, 0.0], [$x + $s * $mouth, 0.0], [$x + $s * $mouth, -$straight],
                    [$x + $s * $pilot, -$straight - $cone], [$x + $s * $pilot, -$bottom], [$x, -$bottom - 0.6 * $pilot],
                    [$x, -2.2 * $flare - $deep], [$x + $s * 1.9 * $body, -2.2 * $flare - $deep],
                ], true);
            }
            $pen->text($x, -2.2 * $flare - $deep - $pen->letters(1.8), Message::of("learning.drawing.$name"));
        }

        return $pen->drawing('lesson.centre_holes');
    }
}
