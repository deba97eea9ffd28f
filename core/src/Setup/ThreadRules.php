<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Step\Tap;
use MillStep\Core\Planning\Thread\ThreadForm;

/** Tapping and reaming. Each method is one rule. */
final class ThreadRules
{
    public static function tapDrill(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'tap') {
            return null;
        }
        $percent = self::form($setup)->percent($setup->length('major_mm'), $setup->length('pitch_mm'), $setup->length('drilled_mm'));
        $least = $setup->policy('thread_percent_min', 55);
        $most = $setup->policy('thread_percent_max', 80);
        $terms = ['left_percent' => round($percent), 'least_percent' => $least, 'most_percent' => $most];

        return match (true) {
            $percent > 90 => Finding::stop('tap_drill_wrong', $terms),
            $percent < $least - 1e-6 || $percent > $most + 1e-6 => Finding::fix('tap_drill_wrong', $terms),
            default => null,
        };
    }

    public static function threadLength(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'tap') {
            return null;
        }
        $ratio = $setup->length('thread_depth_mm')->ratioTo($setup->length('major_mm'));
        $terms = ['deep_ratio' => round($ratio, 2), 'least_ratio' => Tap::SHORTEST, 'most_ratio' => Tap::LONGEST];

        return match (true) {
            $ratio < Tap::SHORTEST - 1e-6 => $setup->has('short_thread_known') && $setup->flag('short_thread_known')
                ? Finding::note('thread_too_short', $terms) : Finding::fix('thread_too_short', $terms),
            $ratio > Tap::LONGEST + 1e-6 => Finding::note('thread_too_deep', $terms),
            default => null,
        };
    }

    public static function tapKind(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'tap' && ! $setup->flag('through') && $setup->text('tap_type') === 'spiral_point'
            ? Finding::fix('tap_kind_wrong') : null;
    }

    /** A spindle that cannot be turned round leaves the tap in the hole, or tears it out. */
    public static function powerTapReverses(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'tap' && $setup->powered() && ! $setup->flag('machine_reverses')
            ? Finding::stop('power_tap_no_reverse') : null;
    }

    /** Straight flutes pack under power, and an insert's tap is one of them. */
    public static function powerTapKind(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'tap' && $setup->powered()
            && ! in_array($setup->text('tap_type'), ['spiral_point', 'spiral_flute', 'form'], true)
            ? Finding::stop('power_tap_kind') : null;
    }

    private static function form(SetupFacts $setup): ThreadForm
    {
        return $setup->has('tap_type') && $setup->text('tap_type') === 'form' ? ThreadForm::Form : ThreadForm::Cut;
    }

    public static function powerOnHandTool(SetupFacts $setup): ?Finding
    {
        return in_array($setup->text('tool'), ['tap', 'reamer'], true) && $setup->flag('hand_tool') && $setup->flag('powered')
            ? Finding::stop('power_on_hand_tool') : null;
    }

    public static function reamerAllowance(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'reamer') {
            return null;
        }
        $allowance = $setup->length('diameter_mm')->minus($setup->length('drilled_mm'))->inMm();
        $least = $setup->number('allowance_min_mm');
        $most = $setup->number('allowance_max_mm');
        $terms = ['left_mm' => round($allowance, 2), 'least_mm' => $least, 'most_mm' => $most];

        return match (true) {
            $allowance > 2 * $most + 0.0005 => Finding::stop('reamer_allowance', $terms),
            $allowance < $least - 0.0005 || $allowance > $most + 0.0005 => Finding::fix('reamer_allowance', $terms),
            default => null,
        };
    }

    public static function reamerReversed(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'reamer' && $setup->flag('reversed')
            ? Finding::fix('reamer_reversed') : null;
    }

    /** What is left under a blind hole has to bear: depth, point, lead and the lines of the scale together. */
    public static function floor(SetupFacts $setup): ?Finding
    {
        if ($setup->flag('through') || ! $setup->drills()) {
            return null;
        }
        $least = max($setup->policy('blind_floor_ratio') * $setup->length('diameter_mm')->inMm(), $setup->policy('blind_floor_mm'));
        $left = $setup->length('thickness_mm')->minus($setup->length('total_depth_mm'));

        return $left->isPositive() && $left->isLessThan(Length::mm($least))
            ? Finding::stop('floor_too_thin', ['left_mm' => round($left->inMm(), 1), 'least_mm' => round($least, 1)])
            : null;
    }

    public static function breaksThrough(SetupFacts $setup): ?Finding
    {
        if ($setup->flag('through') || ! $setup->drills()) {
            return null;
        }
        $left = $setup->length('thickness_mm')->minus($setup->length('total_depth_mm'));

        return $left->isAtMost(Length::zero())
            ? Finding::stop(
                'breaks_through_blind',
                [
                    'total_mm' => round($setup->length('total_depth_mm')->inMm(), 1),
                    'stock_mm' => round($setup->length('thickness_mm')->inMm(), 1),
                ],
            ) : null;
    }
}
