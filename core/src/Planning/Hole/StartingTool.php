<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Reference\StandardCentreDrill;
use MillStep\Core\Workshop\CribSpec;

/**
 * The short stiff tool that starts a drill true.
 *
 * A centre drill whose own pilot is wider than the drill that follows leaves that drill nothing to sit in, so its size
 * goes by work three times as wide as the drill (centre_drills.csv, workshop practice), or by the work itself where
 * that is smaller. The crib's widest that is no wider than this is taken; where it has none, a spotting drill.
 */
final readonly class StartingTool
{
    private const TIMES_THE_DRILL = 3;

    private function __construct(public string $name, public Length $diameter, public string $operation, public string $why)
    {
    }

    /** @param  ?Length  $work  the diameter of round work */
    public static function for(Length $firstDrill, ?Length $work, CribSpec $crib): self
    {
        $least = $firstDrill->times(self::TIMES_THE_DRILL);
        $reach = $work?->isLessThan($least) === true ? $work : $least;
        $best = null;
        foreach (StandardCentreDrill::ranges('metric') as $range) {
            if ($reach->isAtLeast($range->from) && $crib->hasCentreDrill($range->size) && ($best === null
                || $range->pilot->isGreaterThan($best->pilot))) {
                $best = $range;
            }
        }
        if ($best === null) {
            return new self(
                'spotting drill',
                $firstDrill,
                'spot_drilling',
                sprintf('The crib has no centre drill that suits before a %.4g mm drill.', $firstDrill->inMm()),
            );
        }

        return new self("centre drill $best->size", StandardCentreDrill::named($best->size)->shape->body, 'centre_drilling',
            sprintf('Its own pilot, %.4g mm, is no wider than the %.4g mm drill that follows.', $best->pilot->inMm(), $firstDrill->inMm()));
    }
}
