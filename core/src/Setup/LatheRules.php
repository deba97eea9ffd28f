<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Lathe\CentreDrillVerdict;
use MillStep\Core\Planning\Lathe\CentreVerdict;

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
