<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Planning\Drawing\Drawing;

/** A kind of drawing in lessons, made from the lesson's own figures. Registered in LessonDrawings. */
abstract class LessonDrawing
{
    /** As a lesson's file calls it, and its words. */
    abstract public static function name(): string;

    /** Whether it is made of a hole's figures, and only a lesson that is bound to one may have it. */
    public static function wantsHole(): bool
    {
        return true;
    }

    /** Whether it is made of a part's marks; only a lesson about a part may have it. */
    public static function wantsPart(): bool
    {
        return false;
    }

    /** Whether it is made of a plan's figures; only a lesson that is bound to one may have it. */
    public static function wantsCase(): bool
    {
        return false;
    }

    /** Whether it shows what a choice or a reading asks for: then it waits until that is answered. */
    public static function tells(): bool
    {
        return false;
    }

    /** Null where this machine or this plan has nothing of the kind to show. */
    abstract public static function draw(LessonScene $scene): ?Drawing;
}
