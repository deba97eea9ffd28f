<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

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
        $words = sprintf('The hole leaves %.0f %% of a full thread; the shop\'s window is %.0f to %.0f %%.', $percent, $least, $most);

        return match (true) {
            $percent > 90 => Finding::stop('tap_drill_wrong', $words, 'C12'),
            $percent < $least - 1e-6 || $percent > $most + 1e-6 => Finding::fix('tap_drill_wrong', $words, 'C12'),
            default => null,
        };
    }

    public static function tapKind(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'tap' && ! $setup->flag('through') && $setup->text('tap_type') === 'spiral_point'
            ? Finding::fix('tap_kind_wrong', 'A spiral point pushes the chip ahead; in a blind hole it has nowhere to go.', 'C12') : null;
    }

    public static function powerOnHandTool(SetupFacts $setup): ?Finding
    {
        return in_array($setup->text('tool'), ['tap', 'reamer'], true) && $setup->flag('hand_tool') && $setup->flag('powered')
            ? Finding::stop('power_on_hand_tool', 'A hand tap or hand reamer is never turned by power.', 'C12') : null;
    }

    public static function reamerAllowance(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'reamer') {
            return null;
        }
        $allowance = $setup->length('diameter_mm')->minus($setup->length('drilled_mm'))->inMm();
        $least = $setup->number('allowance_min_mm');
        $most = $setup->number('allowance_max_mm');
        $words = sprintf('%.2f mm is left for the reamer; %.2f to %.2f mm is right.', $allowance, $least, $most);

        return match (true) {
            $allowance > 2 * $most + 0.0005 => Finding::stop('reamer_allowance', $words, 'C11'),
            $allowance < $least - 0.0005 || $allowance > $most + 0.0005 => Finding::fix('reamer_allowance', $words, 'C11'),
            default => null,
        };
    }

    public static function reamerReversed(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'reamer' && $setup->flag('reversed')
            ? Finding::fix('reamer_reversed', 'A reamer turns forward going in and coming out; backwards chips its edges.', 'C11') : null;
    }

    public static function breaksThrough(SetupFacts $setup): ?Finding
    {
        if ($setup->flag('through') || ! $setup->drills()) {
            return null;
        }
        $left = $setup->length('thickness_mm')->minus($setup->length('total_depth_mm'));

        return $left->isAtMost(\MillStep\Core\Border\Length::zero())
            ? Finding::stop(
                'breaks_through_blind',
                sprintf(
                    'Depth and point come to %.1f mm in %.1f mm of stock: the blind hole comes out below.',
                    $setup->length('total_depth_mm')->inMm(),
                    $setup->length('thickness_mm')->inMm(),
                ),
                'C8',
            ) : null;
    }
}
