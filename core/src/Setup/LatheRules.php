<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Lathe\CentreDrillVerdict;
use MillStep\Core\Planning\Lathe\CentreVerdict;
use MillStep\Core\Planning\Step\Bore;

/** What is said of lathe work only. Each method is one rule. */
final class LatheRules
{
    public static function jaws(SetupFacts $setup): ?Finding
    {
        return $setup->flag('all_jaws_bear')
            ? null
            : Finding::stop('jaws_not_all_bearing');
    }

    public static function overhang(SetupFacts $setup): ?Finding
    {
        $limit = $setup->policy('overhang_ratio');
        $ratio = $setup->length('overhang_mm')->inMm() / max($setup->length('work_diameter_mm')->inMm(), 1e-6);

        return $ratio > $limit + 1e-6 && ! $setup->flag('supported')
            ? Finding::stop(
                'overhang_unsupported',
                ['out_ratio' => round($ratio, 1), 'limit_ratio' => $limit],
            ) : null;
    }

    public static function tailstockClamped(SetupFacts $setup): ?Finding
    {
        return $setup->flag('tailstock_clamped')
            ? null
            : Finding::fix('tailstock_unclamped');
    }

    public static function tailstockSpindle(SetupFacts $setup): ?Finding
    {
        return $setup->flag('tailstock_spindle_locked')
            ? Finding::fix('tailstock_spindle_locked')
            : null;
    }

    public static function tailstockReach(SetupFacts $setup): ?Finding
    {
        $least = $setup->policy('tailstock_least_out_mm');

        return $setup->length('tailstock_spindle_out_mm')->isLessThan(Length::mm($least))
            ? Finding::fix(
                'tailstock_spindle_too_short',
                ['out_mm' => $setup->length('tailstock_spindle_out_mm')->inMm(), 'least_mm' => $least],
            ) : null;
    }

    /** A narrow blade far in bends, digs in and breaks. */
    public static function partingDepth(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'parting_blade') {
            return null;
        }
        $reach = $setup->length('blade_mm')->times($setup->policy('blade_reach_ratio'));
        $into = $setup->length('parting_depth_mm');

        return $into->isGreaterThan($reach)
            ? Finding::stop('parting_too_deep', ['into_mm' => round($into->inMm(), 1), 'reach_mm' => round($reach->inMm(), 1)])
            : null;
    }

    /** A piece that is held at both ends closes on the blade and is thrown out as it comes free. */
    public static function partingSupported(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'parting_blade' && $setup->flag('end_on_centre')
            ? Finding::stop('parting_supported_end') : null;
    }

    /** A bar as wide as its hole rubs on the far side and breaks its cutter. */
    public static function boringBarFits(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'boring_bar') {
            return null;
        }
        $bar = $setup->length('bar_mm');
        $hole = $setup->length('drilled_mm');

        return $bar->isAtLeast($hole)
            ? Finding::stop('bar_fills_hole', ['bar_mm' => round($bar->inMm(), 1), 'drilled_mm' => round($hole->inMm(), 1)])
            : null;
    }

    public static function boringBarSprings(SetupFacts $setup): ?Finding
    {
        if ($setup->text('tool') !== 'boring_bar') {
            return null;
        }
        $ratio = $setup->length('bar_out_mm')->inMm() / max($setup->length('bar_mm')->inMm(), 1e-6);
        $terms = ['out_ratio' => round($ratio, 1), 'steady_ratio' => Bore::STEADY, 'most_ratio' => Bore::LIMIT];

        return match (true) {
            $ratio > Bore::LIMIT + 1e-6 => Finding::fix('bar_springs', $terms),
            $ratio > Bore::STEADY + 1e-6 => Finding::note('bar_springs', $terms),
            default => null,
        };
    }

    public static function taper(SetupFacts $setup): ?Finding
    {
        return $setup->flag('taper_clean')
            ? null
            : Finding::fix('taper_dirty_or_burred');
    }

    public static function centre(SetupFacts $setup): ?Finding
    {
        if (! $setup->has('centre_mouth_mm')) {
            return null;
        }
        $check = CentreDrillVerdict::fromFields(Fields::of([
            'pilot_diameter_mm' => $setup->length('centre_pilot_mm')->inMm(),
            'body_diameter_mm' => $setup->length('centre_body_mm')->inMm(),
            'mouth_mm' => $setup->length('centre_mouth_mm')->inMm(),
        ]))->compute();
        $terms = ['formed_percent' => round(100 * $check->fraction)];

        return match ($check->verdict) {
            CentreVerdict::PilotOnly, CentreVerdict::TooShallow => Finding::fix('centre_too_shallow', $terms),
            CentreVerdict::TooDeep => Finding::fix('centre_too_deep', $terms),
            default => null,
        };
    }
}
