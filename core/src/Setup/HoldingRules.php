<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\FeedTable;
use MillStep\Core\Workshop\Holding\DrillingTorque;
use MillStep\Core\Workshop\Holding\Holding;
use MillStep\Core\Workshop\Holding\HoldingCheck;
use MillStep\Core\Workshop\Holding\HoldingVerdict;
use MillStep\Core\Workshop\Holding\Workholding;

/** Holding the work against turning and lifting, and what lies under the hole. Each method is one rule. */
final class HoldingRules
{
    public static function byHand(SetupFacts $setup): ?Finding
    {
        return Workholding::get($setup->text('holding'))->byHand()
            ? Finding::stop('work_hand_held', 'Work is never held by hand under a powered drill: any material, any size.', 'C1') : null;
    }

    public static function turning(SetupFacts $setup): ?Finding
    {
        $holding = Workholding::get($setup->text('holding'));
        if ($holding->byHand()) {
            return null;
        }
        $torque = (new DrillingTorque($setup->length('diameter_mm'), FeedTable::feed($setup->material()->group,
            $setup->length('diameter_mm')), $setup->material()->cuttingForceNMm2))->compute();
        $check = (new HoldingCheck(max($torque->torqueNm, 1e-6), $setup->policy('grab_factor'), $holding->method,
            $setup->number('resisting_force_n'), $setup->length('lever_mm')))->compute();
        if ($holding->resistsTurning && $check->verdict === HoldingVerdict::Holds) {
            return null;
        }

        return Finding::stop('holding_lets_turn', sprintf('The drill may twist with %.1f N·m when it grabs; this holding resists %s.',
            $check->demandNm,
            $holding->resistsTurning ? sprintf(
                '%.1f N·m, %.1f times that; 1.5 times is asked for',
                $check->capacityNm,
                $check->ratio,
            ) : 'lifting only, not turning'),
            'C1');
    }

    public static function lifting(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && ! Workholding::get($setup->text('holding'))->resistsLifting
            ? Finding::fix(
                'holding_lets_lift',
                'As the drill breaks through it climbs into the work; this holding does not keep it down.',
                'C1',
            ) : null;
    }

    public static function viceLoose(SetupFacts $setup): ?Finding
    {
        $holding = $setup->text('holding');
        if (! str_starts_with($holding, 'vice') || $holding !== 'vice_loose') {
            return null;
        }
        $limit = $setup->policy('loose_vice_limit_mm');
        $diameter = $setup->length('diameter_mm');
        $words = sprintf(
            'The vice is neither bolted, clamped nor stopped, and the drill is %.4g mm; the shop\'s limit is %.4g mm.',
            $diameter->inMm(),
            $limit,
        );

        return $diameter->isGreaterThan(Length::mm($limit))
            ? Finding::stop('vice_loose_on_table', $words, 'C1')
            : Finding::fix('vice_loose_on_table', $words, 'C1');
    }

    public static function openJaws(SetupFacts $setup): ?Finding
    {
        return $setup->flag('across_open_jaws') && ! $setup->flag('hooked_stops')
            ? Finding::stop(
                'open_jaw_shear',
                'A plate across open vice jaws shears whatever is between it and a jaw. Two hooked stops prevent turning and lifting.',
                'C1',
            ) : null;
    }

    public static function tableInPath(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && in_array($setup->text('under_hole'), ['table', 'clamp', 'parallel'], true)
            ? Finding::stop('drill_into_table', sprintf('The drill will run into the %s.', $setup->text('under_hole')), 'C5') : null;
    }

    public static function backing(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && ! in_array($setup->text('under_hole'), ['scrap', 'gap', 'table', 'clamp', 'parallel'], true)
            ? Finding::fix('no_backing', 'Something soft or a clear gap belongs under the hole.', 'C5') : null;
    }
}
