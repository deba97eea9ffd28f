<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Thread\ThreadForm;

/** Tapping and reaming. Each method is one rule. */
final class ThreadRules
{
    public static function tapDrill(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'tap') {
            return null;
        }
        $percent = ThreadForm::Cut->percent($setup->length('major_mm'), $setup->length('pitch_mm'), $setup->length('drilled_mm'));
        $least = $setup->policy('thread_percent_min', 55);
        $most = $setup->policy('thread_percent_max', 80);
        $terms = ['left_percent' => round($percent), 'least_percent' => $least, 'most_percent' => $most];

        return match (true) {
            $percent > 90 => Finding::stop('tap_drill_wrong', $terms),
            $percent < $least - 1e-6 || $percent > $most + 1e-6 => Finding::fix('tap_drill_wrong', $terms),
            default => null,
        };
    }

    public static function tapKind(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'tap' && ! $setup->flag('through') && $setup->text('tap_type') === 'spiral_point'
            ? Finding::fix('tap_kind_wrong') : null;
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
