<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

/** A drawing that shows how a thing is done, whatever the sizes at hand. */
abstract class PlainDrawing extends LessonDrawing
{
    public static function wantsHole(): bool
    {
        return false;
    }
}
