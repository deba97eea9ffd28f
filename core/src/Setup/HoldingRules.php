<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
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
            ? Finding::stop('work_hand_held') : null;
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

        $demand = round($check->demandNm, 1);

        return $holding->resistsTurning
            ? Finding::stop('holding_lets_turn', [
                'demand_nm' => $demand,
                'capacity_nm' => round($check->capacityNm, 1),
                'ratio' => round($check->ratio, 1),
                'wanted_ratio' => HoldingCheck::MARGIN,
            ])
            : Finding::stop('holding_lets_turn', ['demand_nm' => $demand], 'holding_lets_turn_freely');
    }

    public static function lifting(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && ! Workholding::get($setup->text('holding'))->resistsLifting
            ? Finding::fix('holding_lets_lift') : null;
    }

    public static function viceLoose(SetupFacts $setup): ?Finding
    {
        $holding = $setup->text('holding');
        if ($holding !== 'vice_loose') {
            return null;
        }
        $limit = $setup->policy('loose_vice_limit_mm');
        $diameter = $setup->length('diameter_mm');
        $terms = ['drill_mm' => $diameter->inMm(), 'limit_mm' => $limit];

        return $diameter->isGreaterThan(Length::mm($limit))
            ? Finding::stop('vice_loose_on_table', $terms)
            : Finding::fix('vice_loose_on_table', $terms);
    }

    public static function openJaws(SetupFacts $setup): ?Finding
    {
        return $setup->flag('across_open_jaws') && ! $setup->flag('hooked_stops')
            ? Finding::stop('open_jaw_shear') : null;
    }

    public static function tableInPath(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && in_array($setup->text('under_hole'), ['table', 'clamp', 'parallel'], true)
            ? Finding::stop('drill_into_table', ['what' => Message::of('setup.under.'.$setup->text('under_hole'))]) : null;
    }

    public static function backing(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && ! in_array($setup->text('under_hole'), ['scrap', 'gap', 'table', 'clamp', 'parallel'], true)
            ? Finding::fix('no_backing') : null;
    }
}
