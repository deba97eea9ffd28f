<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\DrillPoint;

/** The tool for this material and this hole. Each method is one rule. */
final class ToolRules
{
    public static function woodBit(SetupFacts $setup): ?Finding
    {
        return $setup->text('tool') === 'wood_bit' && $setup->material()->group !== 'wood'
            ? Finding::stop(
                'wood_bit_in_metal',
                'A flat, sawtooth or lip-and-spur bit in metal ruins the bit and can throw pieces.',
                'C2',
            ) : null;
    }

    public static function sharpLips(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || ! $setup->material()->grabs || $setup->text('edge') === 'zero_rake') {
            return null;
        }
        $words = sprintf('%s pulls a sharp drill in. Stone a small flat on both lips.', $setup->material()->name);

        return $setup->material()->needsZeroRake
            ? Finding::stop('sharp_lips_in_grabbing_material', $words, 'C10')
            : Finding::note('sharp_lips_in_grabbing_material', $words, 'C10');
    }

    public static function pilotInGrabbing(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || ! $setup->material()->grabs || ! $setup->opensPilot() || $setup->text('edge') === 'zero_rake') {
            return null;
        }
        $words = sprintf(
            'Opening out a pilot in %s with an ordinary sharp drill screws the drill in.',
            mb_strtolower($setup->material()->name),
        );

        return $setup->material()->needsZeroRake
            ? Finding::stop('pilot_in_grabbing_material', $words, 'C10')
            : Finding::fix('pilot_in_grabbing_material', $words, 'C10');
    }

    public static function thinSheet(SetupFacts $setup): ?Finding
    {
        $limit = $setup->policy('thin_sheet_mm');

        return $setup->text('tool') === 'twist_drill'
            && $setup->length('thickness_mm')->isLessThan(Length::mm($limit))
            && ! $setup->flag('sandwiched')
            ? Finding::fix(
                'twist_drill_in_thin_sheet',
                sprintf(
                    '%.3g mm sheet is under the shop\'s %.3g mm: sandwich it, or use a step drill.',
                    $setup->length('thickness_mm')->inMm(),
                    $limit,
                ),
                'C9',
            ) : null;
    }

    public static function dull(SetupFacts $setup): ?Finding
    {
        return $setup->flag('sharp') ? null : Finding::fix('drill_dull', 'The tool is dull: it makes powder and heat.', 'C2');
    }

    public static function tooShort(SetupFacts $setup): ?Finding
    {
        if (! $setup->drills() || $setup->text('tool') === 'step_drill') {
            return null;
        }
        $needed = $setup->length('depth_mm')
            ->plus((new DrillPoint($setup->length('diameter_mm'), $setup->material()->pointAngleDeg))->compute()->pointLength);

        return $setup->length('flute_length_mm')->isLessThan($needed)
            ? Finding::fix(
                'drill_too_short',
                sprintf(
                    'The flutes are %.4g mm long; depth and point come to %.1f mm.',
                    $setup->length('flute_length_mm')->inMm(),
                    $needed->inMm(),
                ),
                'C8',
            ) : null;
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
                sprintf(
                    'The drill is %.4g mm; over %.4g mm this shop drills a pilot first.',
                    $setup->length('diameter_mm')->inMm(),
                    $limit,
                ),
                'C6',
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
            $ratio < $web - 1e-6 => Finding::fix(
                'pilot_too_small',
                sprintf('The pilot is %.2f of the drill; the dead web is %.2f.', $ratio, $web),
                'C6',
            ),
            $ratio > 0.6 + 1e-6 && ! $setup->flag('stepped') => Finding::fix(
                'pilot_too_large',
                sprintf('The pilot is %.2f of the drill; over 0.6 the corners do all the work and catch.', $ratio),
                'C6',
            ),
            default => null,
        };
    }

    public static function startMark(SetupFacts $setup): ?Finding
    {
        return $setup->drills() && ! $setup->opensPilot() && ! in_array($setup->text('start'), ['punch', 'centre', 'spot'], true)
            ? Finding::fix('no_start_mark', 'Neither a punch mark nor a drilled start: the drill will walk.', 'C5') : null;
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
                sprintf(
                    'The dimple is %.2g mm wide, the drill\'s dead point %.2g mm: it may still walk.',
                    $setup->length('mark_diameter_mm')->inMm(),
                    $chisel->inMm(),
                ),
                'B4',
            ) : null;
    }

    public static function lubricant(SetupFacts $setup): ?Finding
    {
        $given = mb_strtolower(trim($setup->text('lubricant')));
        $material = $setup->material();
        $wanted = mb_strtolower($material->lubricant);
        if (str_contains($wanted, $given === '' ? 'dry' : $given)) {
            return null;
        }
        $words = sprintf('%s wants %s.', $material->name, $material->lubricant);

        return $given === '' || $given === 'dry'
            ? Finding::fix('lubricant_missing', $words, 'C3')
            : Finding::fix('lubricant_wrong', $words, 'C3');
    }
}
