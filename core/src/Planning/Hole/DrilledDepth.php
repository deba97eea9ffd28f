<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Thread\BlindTapDepth;
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
    /** A machine reamer cuts on a short chamfer at 45°; a hand reamer on a long taper, about a diameter (workshop practice). */
    public const MACHINE_LEAD_MM = 1.5;

    public const HAND_LEAD = 1.0;

    /** Room for the chips before the reamer, which must never run into the drill's cone. */
    public const CLEARANCE_MM = 1.0;

    private function __construct(public Length $depth, public Figure $figure, public bool $through, public bool $least)
    {
    }

    /**
     * @param  'hand'|'machine'|null  $reamer  that follows
     * @param  Length|null  $board  over the sheet, drilled through first
     */
    public static function of(
        HoleRequest $hole,
        Length $thickness,
        Drill $drill,
        Material $material,
        ShopPolicy $policy,
        CribSpec $crib,
        ?string $reamer = null,
        ?Length $board = null,
    ): self {
        if ($board !== null && $hole->through) {
            $depth = $board->plus($thickness)->plus($policy->breakthrough);

            return new self($depth, Figure::length('depth_mm', $depth, 'depth.sandwich', 'depth = board + t + b', [
                'board_mm' => $board->inMm(), 't_mm' => $thickness->inMm(), 'b_mm' => $policy->breakthrough->inMm(),
            ])->teaching(), true, true);
        }
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
        if ($hole->purpose === 'reamed') {
            $lead = $reamer === 'hand' ? $hole->largest()->times(self::HAND_LEAD) : Length::mm(self::MACHINE_LEAD_MM);
            $clear = Length::mm(self::CLEARANCE_MM);
            $depth = $hole->depth->plus($lead)->plus($clear);

            return new self($depth, Figure::length('depth_mm', $depth, 'depth.reamed', 'depth = L + lead + clearance', [
                'L_mm' => $hole->depth->inMm(), 'lead_mm' => $lead->inMm(), 'clearance_mm' => $clear->inMm(),
            ])->teaching(), false, true);
        }
        if ($hole->purpose !== 'tapped') {
            return new self($hole->depth, Figure::length('depth_mm', $hole->depth, 'depth.blind'), false, false);
        }
        $thread = $hole->theThread();
        $taps = TapsAtHand::of($hole->tapping, $thread, $material, $crib, false, $hole->depth);
        $lead = $taps?->leadThreads() ?? TapType::of('bottoming')->leadThreads;
        $clear = $hole->tapping->clearanceThreads();
        $depth = (new BlindTapDepth($hole->depth, $thread->pitch, $lead, $clear, $drill->diameter,
            // The point reaches further; how deep the full diameter goes is the same for every point.
            118))->compute()->fullDiameterDepth;

        $rule = $hole->tapping->byPower() ? 'depth.tapped_by_power' : 'depth.tapped';

        return new self($depth, Figure::length('depth_mm', $depth, $rule, 'depth = L + (lead + clearance) · p', [
            'L_mm' => $hole->depth->inMm(), 'lead' => $lead, 'clearance' => $clear, 'p_mm' => $thread->pitch->inMm(),
        ])->teaching(), false, true);
    }
}
