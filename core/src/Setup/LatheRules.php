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
            : Finding::stop('jaws_not_all_bearing', 'Not all jaws bear on the work: it can come out.', 'D1');
    }

    public static function overhang(SetupFacts $setup): ?Finding
    {
        $limit = $setup->policy('overhang_ratio');
        $ratio = $setup->length('overhang_mm')->inMm() / max($setup->length('work_diameter_mm')->inMm(), 1e-6);

        return $ratio > $limit + 1e-6 && ! $setup->flag('supported')
            ? Finding::stop(
                'overhang_unsupported',
                sprintf('The work stands out %.1f diameters; over %.3g it needs a tailstock or a steady.', $ratio, $limit),
                'D2',
            ) : null;
    }

    public static function tailstockClamped(SetupFacts $setup): ?Finding
    {
        return $setup->flag('tailstock_clamped')
            ? null
            : Finding::fix('tailstock_unclamped', 'The tailstock is not clamped to the bed.', 'D5');
    }

    public static function tailstockSpindle(SetupFacts $setup): ?Finding
    {
        return $setup->flag('tailstock_spindle_locked')
            ? Finding::fix('tailstock_spindle_locked', 'The tailstock spindle is locked and cannot feed.', 'D5')
            : null;
    }

    public static function tailstockReach(SetupFacts $setup): ?Finding
    {
        $least = $setup->policy('tailstock_least_out_mm');

        return $setup->length('tailstock_spindle_out_mm')->isLessThan(Length::mm($least))
            ? Finding::fix(
                'tailstock_spindle_too_short',
                sprintf(
                    'The tailstock spindle stands out %.3g mm; under %.3g mm the taper does not seat.',
                    $setup->length('tailstock_spindle_out_mm')->inMm(),
                    $least,
                ),
                'D5',
            ) : null;
    }

    public static function taper(SetupFacts $setup): ?Finding
    {
        return $setup->flag('taper_clean')
            ? null
            : Finding::fix('taper_dirty_or_burred', 'The taper is dirty or burred: it will spin and gall its socket.', 'C13');
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
        $words = sprintf('%.0f %% of the cone is formed; aim for 80 to 90 %%.', 100 * $check->fraction);

        return match ($check->verdict) {
            CentreVerdict::PilotOnly, CentreVerdict::TooShallow => Finding::fix('centre_too_shallow', $words, 'D4'),
            CentreVerdict::TooDeep => Finding::fix('centre_too_deep', $words, 'D4'),
            default => null,
        };
    }
}
