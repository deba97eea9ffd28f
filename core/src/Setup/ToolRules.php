<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\DrillPoint;
use MillStep\Core\Planning\Hole\PilotPlan;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\Pilots;
use MillStep\Core\Reference\Process;
use MillStep\Core\Workshop\Lubricant;

/** The tool for this material and this hole. Each method is one rule. */
final class ToolRules
{
    public static function woodBit(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'wood_bit' && $setup->material()->group !== 'wood'
            ? Finding::stop('wood_bit_in_metal') : null;
    }

    public static function sharpLips(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || ! $setup->material()->grabs || $setup->text('edge') === 'zero_rake') {
            return null;
        }
        $terms = ['material' => $setup->material()->word()];

        return $setup->material()->needsZeroRake
            ? Finding::stop('sharp_lips_in_grabbing_material', $terms)
            : Finding::note('sharp_lips_in_grabbing_material', $terms);
    }

    public static function pilotInGrabbing(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || ! $setup->material()->grabs || ! $setup->opensPilot() || $setup->text('edge') === 'zero_rake') {
            return null;
        }
        $terms = ['material' => $setup->material()->word()];

        return $setup->material()->needsZeroRake
            ? Finding::stop('pilot_in_grabbing_material', $terms)
            : Finding::fix('pilot_in_grabbing_material', $terms);
    }

    public static function thinSheet(SetupFacts $setup): ?Finding
    {
        $limit = $setup->policy('thin_sheet_mm');

        return $setup->text('tool') === 'twist_drill'
            && $setup->length('thickness_mm')->isLessThan(Length::mm($limit))
            && ! $setup->flag('sandwiched')
            ? Finding::fix(
                'twist_drill_in_thin_sheet',
                ['sheet_mm' => $setup->length('thickness_mm')->inMm(), 'limit_mm' => $limit],
            ) : null;
    }

    public static function dull(SetupFacts $setup): ?Finding
    {
        return $setup->flag('sharp') ? null : Finding::fix('drill_dull');
    }

    public static function tooShort(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || $setup->text('tool') === 'step_drill') {
            return null;
        }
        $angle = $setup->has('point_angle_deg') ? $setup->number('point_angle_deg') : Job::USUAL_POINT_DEG;
        $needed = $setup->length('depth_mm')
            ->plus((new DrillPoint($setup->length('diameter_mm'), $angle))->compute()->pointLength);

        return $setup->length('flute_length_mm')->isLessThan($needed)
            ? Finding::fix(
                'drill_too_short',
                ['flutes_mm' => $setup->length('flute_length_mm')->inMm(), 'needed_mm' => round($needed->inMm(), 1)],
            ) : null;
    }

    /** A pilot so deep for its width wanders and snaps. */
    public static function tooSlender(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || $setup->flag('final_drill')) {
            return null;
        }
        $ratio = $setup->length('depth_mm')->ratioTo($setup->length('diameter_mm'));

        return $ratio > Pilots::SLENDER + 1e-6
            ? Finding::fix('drill_too_slender', ['deep_ratio' => round($ratio, 1), 'most_ratio' => Pilots::SLENDER])
            : null;
    }

    public static function noPilot(SetupFacts $setup): ?Finding
    {
        // A step drill is its own pilot.
        if (! $setup->drills() || $setup->text('tool') === 'step_drill' || $setup->policyText('pilot_school') === 'single'
            || $setup->material()->grabs || $setup->opensPilot()) {
            return null;
        }
        $limit = $setup->policy('pilot_threshold_mm');

        return $setup->flag('final_drill') && $setup->length('diameter_mm')->isGreaterThan(Length::mm($limit))
            ? Finding::fix(
                'no_pilot',
                ['drill_mm' => $setup->length('diameter_mm')->inMm(), 'limit_mm' => $limit],
            ) : null;
    }

    public static function pilotSize(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || ! $setup->opensPilot()) {
            return null;
        }
        $ratio = $setup->length('pilot_mm')->ratioTo($setup->length('diameter_mm'));
        $web = $setup->policy('web_ratio');

        return match (true) {
            $setup->length('pilot_mm')->isLessThan($setup->length('diameter_mm')->times($web)) => Finding::fix(
                'pilot_too_small',
                ['pilot_ratio' => round($ratio, 2), 'web_ratio' => $web],
            ),
            $ratio > PilotPlan::LARGEST + 1e-6 && ! $setup->flag('stepped') => Finding::fix(
                'pilot_too_large',
                ['pilot_ratio' => round($ratio, 2), 'most_ratio' => PilotPlan::LARGEST],
            ),
            default => null,
        };
    }

    public static function startMark(SetupFacts $setup): ?Finding
    {
        return $setup->drills() && ! $setup->opensPilot() && ! in_array($setup->text('start'), ['punch', 'centre', 'spot'], true)
            ? Finding::fix('no_start_mark') : null;
    }

    public static function markSize(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || $setup->opensPilot() || $setup->text('start') !== 'punch') {
            return null;
        }
        $chisel = $setup->length('diameter_mm')->times($setup->policy('web_ratio'));

        return $setup->length('mark_diameter_mm')->isLessThan($chisel)
            ? Finding::note(
                'mark_too_small',
                ['mark_mm' => $setup->length('mark_diameter_mm')->inMm(), 'web_mm' => round($chisel->inMm(), 2)],
            ) : null;
    }

    public static function lubricant(SetupFacts $setup): ?Finding
    {
        $material = $setup->material();
        $given = Lubricant::read($setup->text('lubricant'));

        return $material->lubricant->suits($given) ? null : Finding::fix(
            $given->isDry() ? 'lubricant_missing' : 'lubricant_wrong',
            ['material' => $material->word(), 'wanted' => $material->lubricant->word()],
        );
    }

    public static function keepsPosition(SetupFacts $setup): ?Finding
    {
        return self::keeps($setup, 'position');
    }

    public static function keepsSize(SetupFacts $setup): ?Finding
    {
        return self::keeps($setup, 'size');
    }

    /**
     * The tolerance that is asked for against what the way of placing or making keeps (process_capability.csv, or the shop's own).
     *
     * @param  'position'|'size'  $kind
     */
    private static function keeps(SetupFacts $setup, string $kind): ?Finding
    {
        if (! $setup->has("{$kind}_within_mm")) {
            return null;
        }
        $said = $setup->text("{$kind}_by");
        $ways = array_filter(Process::all(), static fn (Process $way): bool => $way->kind === $kind);
        $way = $ways[$said] ?? throw InvalidInput::at("{$kind}_by", 'setup.no_such_way', ['said' => Message::quote($said)]);
        $within = $setup->length("{$kind}_within_mm");
        $keeps = Length::mm($setup->policy($way->setting()));

        return $keeps->isGreaterThan($within) ? Finding::fix('process_cannot_keep', [
            'way' => $way->word(), 'keeps_mm' => $keeps->inMm(), 'within_mm' => round($within->inMm(), 3),
        ]) : null;
    }
}
