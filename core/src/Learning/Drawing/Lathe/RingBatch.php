<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Lathe;

use MillStep\Core\Learning\Drawing\CaseDrawing;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Plan\BatchDrawing;

/** The bar in the chuck with all that is made of it: face, pieces, cuts of the blade, the bore and its point. */
final class RingBatch extends CaseDrawing
{
    public static function name(): string
    {
        return 'ring_batch';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $lathe = $scene->case()->lathe;

        return $lathe === null ? null : BatchDrawing::of($lathe, $scene->case()->plan);
    }
}
