<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneKind;
use MillStep\Core\Setup\Scene\Who\Clothes;
use MillStep\Core\Setup\Scene\Who\Eyes;
use Random\Randomizer;

/** A lathe from the front, a bar in its chuck, a drill in its tailstock. */
final class LatheScene extends SceneKind
{
    /** Drill in mm, the right speed in rpm, one that is clearly too fast: mild steel at 24 m/min. */
    private const SIZES = [[6, 1100, 2400], [8, 760, 1900], [10, 760, 1900], [12, 540, 1500]];

    public static function name(): string
    {
        return 'lathe';
    }

    public static function sound(Randomizer $random): SceneFacts
    {
        [$diameter, $rpm, $fast] = self::SIZES[$random->getInt(0, count(self::SIZES) - 1)];
        $work = self::one($random, [22, 25, 28, 30]);

        return new SceneFacts([
            'machine_kind' => 'lathe', 'machine_in_service' => true, 'access' => 'alone', 'eye_protection' => true,
            'loose_items' => false, 'guards_closed' => true, 'drift_in_spindle' => false,
            'chuck_key_in_chuck' => false, 'chuck_tight' => true, 'chips_by_hand' => false, 'rotation' => 'forward', 'sharp' => true,
            'changing_speed' => false, 'material' => 'mild_steel', 'thickness_mm' => 30, 'through' => true, 'start' => 'centre',
            'lubricant' => 'cutting_oil', 'tool' => 'twist_drill', 'edge' => 'normal', 'diameter_mm' => $diameter, 'depth_mm' => 30,
            'flute_length_mm' => 12 * $diameter, 'final_drill' => true, 'pilot_mm' => $diameter > 6 ? 3 : 0, 'stepped' => false,
            'rpm' => $rpm, 'fast_rpm' => $fast, 'powered' => true, 'hand_tool' => false, 'holding' => 'three_jaw_chuck',
            'resisting_force_n' => 8000, 'lever_mm' => $work / 2, 'all_jaws_bear' => true, 'work_diameter_mm' => $work,
            'overhang_mm' => 2 * $work, 'supported' => false, 'tailstock_clamped' => true, 'tailstock_spindle_locked' => false,
            'tailstock_spindle_out_mm' => 40, 'taper_clean' => true,
        ]);
    }

    public static function places(): array
    {
        return [Overhang::class, Jaws::class, ChuckGuard::class, ChuckKey::class, Tail::class, LatheSpeed::class, LatheOil::class,
            LatheChips::class, Eyes::class, Clothes::class];
    }

    public static function backdrop(Pen $pen, SceneFacts $facts): void
    {
        $box = static fn (Style $style, float $left, float $low, float $right, float $high, bool $hatched = false) => $pen
            ->area($style, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]], $hatched);
        $box(Style::Outline, 0, -14, 230, 14);
        $box(Style::Outline, 0, 14, 44, 84);
        $box(Style::Outline, 44, 40, 58, 70);
        $box(Style::Outline, 58, 34, 82, 76);
        $pen->circle(Style::Fault, 12, 74, 5);
        $half = 0.5 * $facts->number('diameter_mm');
        $spindle = 190 - 0.4 * $facts->number('tailstock_spindle_out_mm');
        $pen->area(Style::Tool, [
            [$spindle, 55 - $half], [158 + $half, 55 - $half], [157, 55], [158 + $half, 55 + $half], [$spindle, 55 + $half],
        ]);
        $pen->line(Style::Centre, 50, 55, 232, 55);
        $box(Style::Thin, 52, 132, 158, 166);
        $pen->text(56, 156, Message::of('setup.scene.work_is'), 'start', $facts->number('work_diameter_mm'));
        $pen->text(56, 146, Message::of('setup.scene.drill_is'), 'start', $facts->number('diameter_mm'));
        $pen->text(56, 136, Message::of('setup.scene.cut', ['cut_m_min' => 24]), 'start');
    }
}
