<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Cutting;

use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;

/** How the plan of this case holds the work, from above. */
final class HeldAsPlanned extends CaseDrawing
{
    public static function name(): string
    {
        return 'held';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        return ($scene->case()->steps()['hold'] ?? null)?->sketch;
    }
}
