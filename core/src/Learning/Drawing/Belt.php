<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Planning\Drawing\BeltDrawing;
use MillStep\Core\Planning\Drawing\Drawing;

/** Where the belt goes for the final drill's speed, on this machine's own pulleys. */
final class Belt extends LessonDrawing
{
    public static function name(): string
    {
        return 'belt';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $rpm = $scene->hole()->drill->rpm;

        return $rpm === null ? null : BeltDrawing::of($scene->hole()->machine, $rpm);
    }
}
