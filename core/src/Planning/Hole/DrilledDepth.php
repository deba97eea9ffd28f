<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Thread\BlindTapDepth;
use MillStep\Core\Planning\Thread\TapChoice;
use MillStep\Core\Planning\Thread\TapsAtHand;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\TapType;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\Material;

/**
 * How deep a hole is drilled at full diameter, with the working; and whether that is the least that will do (a hole
 * drilled through, or one a tap must have room in) or the most there may be.
 */
final readonly class DrilledDepth
{
    private function __construct(public Length $depth, public Figure $figure, public bool $through, public bool $least)
    {
    }

    public static function of(
        HoleRequest $hole,
        Length $thickness,
        Drill $drill,
        Material $material,
        ShopPolicy $policy,
        CribSpec $crib,
    ): self {
        if ($hole->through || $hole->depth === null) {
            $depth = $thickness->plus($policy->breakthrough);

            return new self(
                $depth,
                Figure::length(
                    'depth_mm',
                    $depth,
                    'depth.through',
                    'depth = t + b',
                    ['t_mm' => $thickness->inMm(), 'b_mm' => $policy->breakthrough->inMm()],
                ),
                true,
                true,
            );
        }
        if ($hole->purpose !== 'tapped') {
            return new self($hole->depth, Figure::length('depth_mm', $hole->depth, 'depth.blind'), false, false);
        }
        $thread = $hole->theThread();
        $taps = TapsAtHand::of(
            (new TapChoice(false, 'hand', $material->group, $hole->depth, $thread->major))->compute(),
            $thread,
            $crib,
            false,
            $material->group,
        );
        $lead = $taps?->leadThreads() ?? TapType::of('bottoming')->leadThreads;
        $depth = (new BlindTapDepth($hole->depth, $thread->pitch, $lead, 1, $drill->diameter,
            $material->pointAngleDeg))->compute()->fullDiameterDepth;

        return new self($depth, Figure::length('depth_mm', $depth, 'depth.tapped', 'depth = L + (lead + clearance) · p', [
            'L_mm' => $hole->depth->inMm(), 'lead' => $lead, 'clearance' => 1.0, 'p_mm' => $thread->pitch->inMm(),
        ])->teaching(), false, true);
    }
}
