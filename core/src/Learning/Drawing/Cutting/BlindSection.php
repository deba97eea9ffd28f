<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Plan\SectionDrawing;

/** The hole in section, to scale: full depth, point, thread where there is one, and the floor that stays. */
final class BlindSection extends CaseDrawing
{
    public static function name(): string
    {
        return 'blind_section';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $case = $scene->case();

        return SectionDrawing::of($case->plan, $case->thickness->inMm(), $case->wanted->through ?? true);
    }
}
