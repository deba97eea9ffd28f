<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

/** The spindle speed and how it is changed. Each method is one rule. */
final class SpeedRules
{
    public static function tooFast(SetupFacts $setup): ?Finding
    {
        $target = 1000 * $setup->material()->cuttingSpeedMMin * ($setup->has('operation_factor') ? $setup->number('operation_factor')
            : 1.0) / (M_PI * max($setup->length('diameter_mm')->inMm(), 1e-6));
        $ratio = $setup->number('rpm') / $target;
        $terms = [
            'found_rpm' => $setup->number('rpm'),
            'ratio' => round($ratio, 1),
            'wanted_rpm' => floor($target),
            'material' => $setup->material()->word(),
        ];

        return match (true) {
            $ratio > 2 => Finding::stop('speed_too_fast', $terms),
            $ratio > 1.25 => Finding::fix('speed_too_fast', $terms),
            default => null,
        };
    }

    public static function overCap(SetupFacts $setup): ?Finding
    {
        $cap = $setup->policy('learner_cap_rpm');

        return $setup->number('rpm') > $cap
            ? Finding::fix(
                'speed_over_cap',
                ['found_rpm' => $setup->number('rpm'), 'cap_rpm' => $cap],
            ) : null;
    }

    public static function changedInState(SetupFacts $setup): ?Finding
    {
        if (! $setup->flag('changing_speed')) {
            return null;
        }
        $right = match ($setup->text('speed_change')) {
            'running' => $setup->flag('running'),
            default => ! $setup->flag('running') && $setup->flag('isolated'),
        };

        return $right ? null : Finding::stop(
            'speed_change_wrong_state',
            reason: $setup->text('speed_change') === 'running' ? 'speed_changes_running' : 'speed_changes_stopped',
        );
    }
}
