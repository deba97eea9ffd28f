<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\LessonDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The way from hole to hole: the mean of between their near edges and over their far ones. */
final class PitchOfTwo extends LessonDrawing
{
    public static function name(): string
    {
        return 'pitch_of_two';
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
        [$a, $b] = [...array_slice($scene->part()->marks, 0, 2), null, null];
        if ($a === null || $b === null) {
            return null;
        }
        $pitch = hypot($b->x->inMm() - $a->x->inMm(), $b->y->inMm() - $a->y->inMm());
        $radius = $a->diameter->inMm() / 2;
        $pen = Pen::forSize($pitch * 1.4);
        foreach ([0.0, $pitch] as $x) {
            $pen->circle(Style::Outline, $x, 0, $radius);
            $pen->centreMark($x, 0, $radius);
        }
        $pen->dimensionX($radius, 0, $pitch - $radius, 0, $radius + $pen->letters(2), Message::of('learning.drawing.between'));
        $pen->dimensionX(-$radius, 0, $pitch + $radius, 0, $radius + $pen->letters(4.6), Message::of('learning.drawing.over'));
        $pen->dimensionX(0, 0, $pitch, 0, -$radius - $pen->letters(2.4), Message::of('learning.drawing.mean'));

        return $pen->drawing('lesson.pitch_of_two');
    }
}
