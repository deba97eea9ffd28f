<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\OperationFactors;

/** The spindle speed and how it is changed. Each method is one rule. */
final class SpeedRules
{
    /** What runs slower than a drill: the table gives each its share of the drilling speed. */
    private const SLOWER = ['tap', 'reamer', 'countersink', 'counterbore', 'spotface', 'parting_blade', 'boring_bar', 'hole_saw'];

    public static function tooFast(SetupFacts $setup): ?Finding
    {
        if (! $setup->powered()) {
            return null;
        }
        $factor = $setup->has('operation_factor') ? $setup->number('operation_factor') : self::factor($setup);
        $target = self::drillingRpm($setup) * $factor;
        $ratio = $setup->number('rpm') / max($target, 1e-6);
        // The table says how fast a reamer or a countersink may run at most: up to there nothing is wrong.
        $operation = $setup->operation();
        if (in_array($setup->text('tool'), self::SLOWER, true) && $operation !== null
            && $setup->number('rpm') <= self::drillingRpm($setup) * OperationFactors::most($operation) + 1e-6) {
            return null;
        }
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

    /** A tap, a reamer or a countersink at a drill's speed breaks, burns or chatters, whatever factor is claimed for it. */
    public static function slowerTool(SetupFacts $setup): ?Finding
    {
        $operation = $setup->operation();
        if (! in_array($setup->text('tool'), self::SLOWER, true) || $operation === null || ! $setup->powered()) {
            return null;
        }
        $most = self::drillingRpm($setup) * OperationFactors::most($operation);

        return $setup->number('rpm') > $most + 1e-6
            ? Finding::stop('power_tap_too_fast', [
                'found_rpm' => $setup->number('rpm'),
                'most_rpm' => floor($most),
                'tool' => Message::of('setup.tool.'.$setup->text('tool')),
                'material' => $setup->material()->word(),
            ]) : null;
    }

    /** @throws UnknownFact where the table has no factor for the tool and none was said */
    private static function factor(SetupFacts $setup): float
    {
        $operation = $setup->operation();

        return $operation === null ? throw UnknownFact::named('operation_factor') : OperationFactors::of($operation);
    }

    private static function drillingRpm(SetupFacts $setup): float
    {
        return 1000 * $setup->material()->cuttingSpeedMMin / (M_PI * max($setup->length('diameter_mm')->inMm(), 1e-6));
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
