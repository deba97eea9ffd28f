<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\HoldingDrawing;
use MillStep\Core\Workshop\Holding\Workholding;

/** Two clamps from above, as the lessons set them, with the way the drill throws the work. */
final class HoldingPlan extends LessonDrawing
{
    private const METHOD = 'bar_clamp_pair';

    /** As a plan takes it where nobody says. */
    private const LEVER_MM = 40.0;

    public static function name(): string
    {
        return 'holding_plan';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        return HoldingDrawing::of(
            Workholding::get(self::METHOD),
            Length::mm(self::LEVER_MM),
            $scene->hole()->diameter(),
            null,
        );
    }
}
