<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneKind;
use MillStep\Core\Setup\Scene\Who\Clothes;
use MillStep\Core\Setup\Scene\Who\Eyes;
use Random\Randomizer;

/** A drill press from the side, a plate on its table, a through hole in mild steel. */
final class PressScene extends SceneKind
{
    /** Diameter in mm, the right speed in rpm, one that is clearly too fast: at 24 m/min, on 280, 500, 850, 1400, 2500. */
    private const SIZES = [[5, 1400, 2500], [6, 850, 2500], [8, 850, 2500], [9, 500, 1400], [10, 500, 1400]];

    public static function name(): string
    {
        return 'press';
    }

    public static function sound(Randomizer $random): SceneFacts
    {
        [$diameter, $rpm, $fast] = self::SIZES[$random->getInt(0, count(self::SIZES) - 1)];
        $holding = self::one($random, ['vice_bolted', 'bar_clamp_pair', 'strap_clamp_pair']);
        $thick = self::one($random, [5, 6, 8, 10]);

        return new SceneFacts([
            'machine_kind' => 'drill_press', 'machine_in_service' => true, 'access' => 'alone', 'eye_protection' => true,
            'loose_items' => false, 'guards_closed' => true, 'drift_in_spindle' => false, 'table_locked' => true,
            'chuck_key_in_chuck' => false, 'chuck_tight' => true, 'chips_by_hand' => false, 'rotation' => 'forward', 'sharp' => true,
            'changing_speed' => false, 'material' => 'mild_steel', 'thickness_mm' => $thick, 'sandwiched' => false, 'through' => true,
            'across_open_jaws' => false, 'hooked_stops' => false, 'start' => 'punch', 'mark_diameter_mm' => 3,
            'lubricant' => 'cutting_oil', 'tool' => 'twist_drill', 'edge' => 'normal', 'diameter_mm' => $diameter, 'depth_mm' => $thick,
            'flute_length_mm' => 10 * $diameter, 'final_drill' => true, 'pilot_mm' => $diameter > 6 ? 3 : 0, 'stepped' => false,
            'rpm' => $rpm, 'fast_rpm' => $fast, 'powered' => true, 'hand_tool' => false,
            'holding' => $holding, 'resisting_force_n' => 4000, 'lever_mm' => 60,
            'under_hole' => $holding === 'vice_bolted' ? 'gap' : 'scrap',
        ]);
    }

    public static function places(): array
    {
        return [Guard::class, Key::class, SpeedSet::class, DrillFitted::class, UnderHole::class, Held::class, TableLock::class,
            Oil::class, Chips::class, Eyes::class, Clothes::class];
    }

    public static function backdrop(Pen $pen, SceneFacts $facts): void
    {
        $thick = 1.1 * $facts->number('thickness_mm');
        $box = static fn (Style $style, float $left, float $low, float $right, float $high, bool $hatched = false) => $pen
            ->area($style, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]], $hatched);
        $box(Style::Outline, 0, 0, 150, 8);
        $box(Style::Outline, 14, 8, 24, 134);
        $box(Style::Outline, 8, 134, 102, 162);
        $pen->circle(Style::Fault, 24, 148, 5);
        $box(Style::Outline, 68, 114, 84, 134);
        $pen->path(Style::Outline, [[98, 140], [120, 132]]);
        $pen->path(Style::Outline, [[98, 140], [90, 126]]);
        $pen->circle(Style::Outline, 98, 140, 3.5);
        $pen->area(Style::Outline, [[64, 114], [88, 114], [88, 98], [82, 86], [70, 86], [64, 98]]);
        $pen->circle(Style::Outline, 86, 104, 2);
        $box(Style::Outline, 24, 32, 66, 40);
        $box(Style::Outline, 86, 32, 194, 40);
        $box(Style::Outline, 40, 48, 112, 48 + $thick, true);
    }
}
