<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Learning\PartMark;
use MillStep\Core\Planning\Drawing\Drawing;

/** A drawing of one mark on the part: the one that the lesson is about. */
abstract class MarkDrawing extends LessonDrawing
{
    final public static function wantsHole(): bool
    {
        return false;
    }

    final public static function wantsPart(): bool
    {
        return true;
    }

    final public static function draw(LessonScene $scene): ?Drawing
    {
        $mark = $scene->part()->mark();

        return $mark === null ? null : static::at($mark);
    }

    abstract protected static function at(PartMark $mark): Drawing;
}
