<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\Demand;
use MillStep\Core\Planning\Thread\TappingTorque;
use MillStep\Core\Workshop\Holding\Holding;
use MillStep\Core\Workshop\Holding\HoldingCheck;
use MillStep\Core\Workshop\Holding\HoldingVerdict;
use MillStep\Core\Workshop\Holding\Ring;
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
        // A blade or a bar does not twist like a drill, and a countersink only breaks an edge.
        if ($holding->byHand() || in_array($setup->text('tool'), ['parting_blade', 'boring_bar', 'countersink'], true)) {
            return null;
        }
        $demand = self::demand($setup);
        $check = (new HoldingCheck(max($demand->torqueNm, 1e-6), $demand->worst, $holding->method,
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

    /** A tap twists by its thread. What else cuts takes away what is around the hole that is there, fed by its own width. */
    private static function demand(SetupFacts $setup): Demand
    {
        if ($setup->text('tool') === 'tap') {
            $forms = $setup->has('tap_type') && $setup->text('tap_type') === 'form';

            return Demand::ofTap(
                $setup->length('major_mm'),
                $setup->length('pitch_mm'),
                $setup->material(),
                $forms ? TappingTorque::FORMING : 1.0,
            );
        }
        if ($setup->text('tool') === 'hole_saw') {
            return Demand::ofSaw($setup->length('diameter_mm'), $setup->material(), $setup->policy('grab_factor'));
        }
        $cuts = $setup->has('cutting_diameter_mm') ? $setup->length('cutting_diameter_mm') : $setup->length('diameter_mm');

        $wide = $setup->length('diameter_mm');
        $there = Length::mm(sqrt(max(0.0, $wide->inMm() ** 2 - $cuts->inMm() ** 2)));

        return Demand::ofDrill(
            new Ring($cuts->isGreaterThan($wide) ? $cuts : $wide, $there),
            $setup->material(),
            $setup->policy('grab_factor'),
        );
    }

    public static function lifting(SetupFacts $setup): ?Finding
    {
        return $setup->flag('through') && ! Workholding::get($setup->text('holding'))->resistsLifting
            ? Finding::fix('holding_lets_lift') : null;
    }

    /** A table or a head that is not locked sinks under the feed and swings with the work. */
    public static function tableLocked(SetupFacts $setup): ?Finding
    {
        return $setup->flag('table_locked') ? null : Finding::fix('table_unlocked');
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
