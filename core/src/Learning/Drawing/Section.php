<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Plan\SectionDrawing;

/** The hole in section, the drill at its lowest. */
final class Section extends LessonDrawing
{
    public static function name(): string
    {
        return 'section';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        return SectionDrawing::of($scene->hole()->plan, $scene->hole()->thickness->inMm(), true);
    }
}
