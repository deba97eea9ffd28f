<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

/** A drawing made of what the lesson is bound to: its plan, its bar, its machine. */
abstract class CaseDrawing extends LessonDrawing
{
    public static function wantsHole(): bool
    {
        return false;
    }

    public static function wantsCase(): bool
    {
        return true;
    }
}
