<?php

declare(strict_types=1);

/** @return array<string, mixed> a setup that nothing speaks against */
function sound(array $with = []): array
{
    return [
        'machine_kind' => 'drill_press', 'machine_in_service' => true, 'access' => 'alone', 'eye_protection' => true,
        'loose_items' => false, 'guards_closed' => true, 'drift_in_spindle' => false, 'table_locked' => true,
        'chuck_key_in_chuck' => false, 'chuck_tight' => true,
        'chips_by_hand' => false, 'rotation' => 'forward', 'sharp' => true, 'changing_speed' => false,
        'material' => 'mild_steel', 'thickness_mm' => 8, 'sandwiched' => false, 'through' => true,
        'under_hole' => 'scrap',
        'across_open_jaws' => false, 'hooked_stops' => false, 'start' => 'punch', 'mark_diameter_mm' => 2,
        'lubricant' => 'cutting oil', 'holding' => 'bar_clamp_pair', 'resisting_force_n' => 900, 'lever_mm' => 50,
        'tool' => 'twist_drill', 'diameter_mm' => 9, 'edge' => 'normal', 'pilot_mm' => 2, 'final_drill' => true,
        'stepped' => false, 'rpm' => 500, 'depth_mm' => 9, 'total_depth_mm' => 11.7, 'flute_length_mm' => 80,
        'hand_tool' => false, 'powered' => true, ...$with,
    ];
}

/** @return array<string, mixed> */
function atLathe(array $with = []): array
{
    return sound(['machine_kind' => 'lathe', 'all_jaws_bear' => true, 'overhang_mm' => 40, 'work_diameter_mm' => 25, 'supported' => false,
        'tailstock_clamped' => true, 'tailstock_spindle_locked' => false,
        'tailstock_spindle_out_mm' => 40, 'taper_clean' => true, 'holding' => 'three_jaw_chuck', 'resisting_force_n' => 4800, ...$with]);
}

/** @return array<string, string> severity by code */
function found(array $setup): array
{
    return array_column(compute('setup_review', $setup)['findings'], 'severity', 'code');
}

it('has nothing to say about a sound setup', function (): void {
    expect(found(sound()))->toBe([])->and(found(atLathe()))->toBe([]);
});

it('finds what the list names, as severe as it says', function (array $setup, string $code, string $severity): void {
    expect(found($setup))->toHaveKey($code, $severity);
})->with([
    [sound(['eye_protection' => false]), 'eye_protection_missing', 'stop'],
    [sound(['loose_items' => true]), 'loose_items', 'stop'],
    [sound(['holding' => 'hand_bare']), 'work_hand_held', 'stop'],
    [sound(['resisting_force_n' => 100]), 'holding_lets_turn', 'stop'],
    [sound(['holding' => 'bar_clamp_single']), 'holding_lets_turn', 'stop'],
    [sound(['holding' => 'vice_against_stop', 'resisting_force_n' => 900]), 'holding_lets_lift', 'fix'],
    [sound(['holding' => 'vice_loose']), 'vice_loose_on_table', 'stop'],
    [sound(['holding' => 'vice_loose', 'diameter_mm' => 3.5, 'pilot_mm' => 0]), 'vice_loose_on_table', 'fix'],
    [sound(['across_open_jaws' => true]), 'open_jaw_shear', 'stop'],
    [sound(['under_hole' => 'nothing']), 'no_backing', 'fix'],
    [sound(['under_hole' => 'parallel']), 'drill_into_table', 'stop'],
    [sound(['chuck_key_in_chuck' => true]), 'chuck_key_left', 'stop'],
    [sound(['drift_in_spindle' => true]), 'drift_left', 'stop'],
    [sound(['guards_closed' => false]), 'guard_open', 'stop'],
    [sound(['table_locked' => false]), 'table_unlocked', 'fix'],
    [sound(['chuck_tight' => false]), 'chuck_not_tight', 'stop'],
    [sound(['tool' => 'wood_bit']), 'wood_bit_in_metal', 'stop'],
    [sound(['material' => 'brass_free_cutting', 'lubricant' => 'dry']), 'sharp_lips_in_grabbing_material', 'stop'],
    [sound(['material' => 'brass_free_cutting', 'lubricant' => 'dry']), 'pilot_in_grabbing_material', 'stop'],
    [sound(['material' => 'copper', 'lubricant' => 'soluble oil']), 'sharp_lips_in_grabbing_material', 'note'],
    [sound(['material' => 'copper', 'lubricant' => 'soluble oil']), 'pilot_in_grabbing_material', 'fix'],
    [sound(['thickness_mm' => 1]), 'twist_drill_in_thin_sheet', 'fix'],
    [sound(['sharp' => false]), 'drill_dull', 'fix'],
    [sound(['rpm' => 1700]), 'speed_too_fast', 'stop'],
    [sound(['rpm' => 1100]), 'speed_too_fast', 'fix'],
    [sound(['policy' => ['learner_cap_rpm' => 400]]), 'speed_over_cap', 'fix'],
    [
        sound(['changing_speed' => true, 'speed_change' => 'stopped_and_isolated', 'running' => false, 'isolated' => false]),
        'speed_change_wrong_state',
        'stop',
    ],
    [sound(['changing_speed' => true, 'speed_change' => 'running', 'running' => false]), 'speed_change_wrong_state', 'stop'],
    [sound(['pilot_mm' => 0]), 'no_pilot', 'fix'],
    [sound(['pilot_mm' => 1.5]), 'pilot_too_small', 'fix'],
    [sound(['pilot_mm' => 6]), 'pilot_too_large', 'fix'],
    [sound(['pilot_mm' => 0, 'start' => 'none']), 'no_start_mark', 'fix'],
    [sound(['pilot_mm' => 0, 'mark_diameter_mm' => 1]), 'mark_too_small', 'note'],
    [sound(['lubricant' => 'dry']), 'lubricant_missing', 'fix'],
    [sound(['lubricant' => 'water']), 'lubricant_wrong', 'fix'],
    [sound(['tool' => 'tap', 'major_mm' => 8, 'pitch_mm' => 1.25, 'drilled_mm' => 7.4, 'tap_type' => 'taper']), 'tap_drill_wrong', 'fix'],
    [sound(['tool' => 'tap', 'major_mm' => 8, 'pitch_mm' => 1.25, 'drilled_mm' => 6.5, 'tap_type' => 'taper']), 'tap_drill_wrong', 'stop'],
    [
        sound([
            'tool' => 'tap', 'major_mm' => 8, 'pitch_mm' => 1.25, 'drilled_mm' => 6.8, 'tap_type' => 'spiral_point',
            'through' => false,
        ]),
        'tap_kind_wrong',
        'fix',
    ],
    [
        sound([
            'tool' => 'reamer', 'hand_tool' => true, 'powered' => true, 'drilled_mm' => 8.8, 'reversed' => false,
            'allowance_min_mm' => 0.15, 'allowance_max_mm' => 0.25,
        ]),
        'power_on_hand_tool',
        'stop',
    ],
    [
        sound(['tool' => 'reamer', 'drilled_mm' => 8.6, 'reversed' => false, 'allowance_min_mm' => 0.15, 'allowance_max_mm' => 0.25]),
        'reamer_allowance',
        'fix',
    ],
    [
        sound(['tool' => 'reamer', 'drilled_mm' => 8.4, 'reversed' => false, 'allowance_min_mm' => 0.15, 'allowance_max_mm' => 0.25]),
        'reamer_allowance',
        'stop',
    ],
    [
        sound(['tool' => 'reamer', 'drilled_mm' => 8.8, 'reversed' => true, 'allowance_min_mm' => 0.15, 'allowance_max_mm' => 0.25]),
        'reamer_reversed',
        'fix',
    ],
    [atLathe(['all_jaws_bear' => false]), 'jaws_not_all_bearing', 'stop'],
    [atLathe(['overhang_mm' => 76]), 'overhang_unsupported', 'stop'],
    [atLathe(['tailstock_clamped' => false]), 'tailstock_unclamped', 'fix'],
    [atLathe(['tailstock_spindle_locked' => true]), 'tailstock_spindle_locked', 'fix'],
    [atLathe(['tailstock_spindle_out_mm' => 10]), 'tailstock_spindle_too_short', 'fix'],
    [atLathe(['taper_clean' => false]), 'taper_dirty_or_burred', 'fix'],
    [atLathe(['centre_pilot_mm' => 2, 'centre_body_mm' => 5, 'centre_mouth_mm' => 3]), 'centre_too_shallow', 'fix'],
    [atLathe(['centre_pilot_mm' => 2, 'centre_body_mm' => 5, 'centre_mouth_mm' => 5]), 'centre_too_deep', 'fix'],
    [sound(['tool' => 'tap', 'rpm' => 1400, 'diameter_mm' => 8, 'hand_tool' => false]), 'power_tap_too_fast', 'stop'],
    [sound(['tool' => 'tap', 'rpm' => 450, 'diameter_mm' => 8, 'hand_tool' => false]), 'power_tap_too_fast', 'stop'],
    [sound(['tool' => 'tap', 'rpm' => 1400, 'diameter_mm' => 8, 'operation_factor' => 1]), 'power_tap_too_fast', 'stop'],
    [sound(['tool' => 'reamer', 'rpm' => 1400, 'diameter_mm' => 8]), 'power_tap_too_fast', 'stop'],
    [sound(['tool' => 'reamer', 'rpm' => 1400, 'diameter_mm' => 8]), 'speed_too_fast', 'stop'],
    [sound(['tool' => 'countersink', 'rpm' => 500, 'diameter_mm' => 10]), 'power_tap_too_fast', 'stop'],
    [sound(['tool' => 'fly_cutter', 'rpm' => 500]), 'unknown_operation_factor', 'fix'],
    [sound(['tool' => 'tap', 'major_mm' => 8, 'thread_depth_mm' => 6]), 'thread_too_short', 'fix'],
    [sound(['tool' => 'tap', 'major_mm' => 8, 'thread_depth_mm' => 6, 'short_thread_known' => true]), 'thread_too_short', 'note'],
    [sound(['tool' => 'tap', 'major_mm' => 8, 'thread_depth_mm' => 21]), 'thread_too_deep', 'note'],
    [sound(['tool' => 'tap', 'major_mm' => 8]), 'unknown_thread_depth', 'fix'],
    [sound(['through' => false, 'thickness_mm' => 13, 'depth_mm' => 9]), 'floor_too_thin', 'stop'],
    [sound(['final_drill' => false, 'diameter_mm' => 2, 'pilot_mm' => 0, 'depth_mm' => 17, 'rpm' => 2500]), 'drill_too_slender', 'fix'],
    [
        atLathe(['tool' => 'parting_blade', 'blade_mm' => 2, 'parting_depth_mm' => 16.1, 'end_on_centre' => false]),
        'parting_too_deep',
        'stop',
    ],
    [
        atLathe(['tool' => 'parting_blade', 'blade_mm' => 2, 'parting_depth_mm' => 9, 'end_on_centre' => true]),
        'parting_supported_end',
        'stop',
    ],
    [sound(['rotation' => 'reverse']), 'rotation_wrong', 'stop'],
    [sound(['flute_length_mm' => 10]), 'drill_too_short', 'fix'],
    [sound(['through' => false, 'total_depth_mm' => 8]), 'breaks_through_blind', 'stop'],
    [sound(['chips_by_hand' => true]), 'chips_by_hand', 'stop'],
    [sound(['machine_in_service' => false]), 'machine_out_of_service', 'stop'],
    [sound(['access' => 'no']), 'not_permitted', 'stop'],
]);

it('never passes over what it is not told', function (string $fact, string $code): void {
    $setup = sound();
    unset($setup[$fact]);
    expect(found($setup))->toHaveKey($code, 'fix');
})->with([
    ['eye_protection', 'unknown_eye_protection'],
    ['holding', 'unknown_holding'],
    ['material', 'unknown_material'],
    ['rpm', 'unknown_rpm'],
    ['under_hole', 'unknown_under_hole'],
    ['resisting_force_n', 'unknown_resisting_force'],
    ['tool', 'unknown_tool'],
]);

it('keeps its properties whatever the numbers', function (): void {
    $holding = ['holding_lets_turn', 'holding_lets_lift', 'work_hand_held', 'vice_loose_on_table'];
    foreach (draws(60, 50, 900, 4) as $i => $force) {
        $diameter = 4 + ($i % 9);
        $setup = sound(['resisting_force_n' => $force, 'diameter_mm' => $diameter]);
        $now = found($setup);
        // Adding protection never adds a finding about holding.
        expect(
            array_diff(array_intersect(array_keys(found([...$setup, 'resisting_force_n' => $force * 1.3])), $holding), array_keys($now)),
        )->toBe([]);
        // A larger drill never turns a holding failure into a pass.
        if (isset($now['holding_lets_turn'])) {
            expect(found([...$setup, 'diameter_mm' => $diameter + 1]))->toHaveKey('holding_lets_turn');
        }
        // Raising speed never removes speed_too_fast.
        $rpm = 300 + 40 * $i;
        if (isset(found([...$setup, 'rpm' => $rpm])['speed_too_fast'])) {
            expect(found([...$setup, 'rpm' => $rpm + 100]))->toHaveKey('speed_too_fast');
        }
    }
});

it('blocks the start for every stop', function (): void {
    expect(compute('setup_review', sound())['may_start'])->toBeTrue()
        ->and(compute('setup_review', sound(['chuck_key_in_chuck' => true]))['may_start'])->toBeFalse()
        ->and(compute('setup_review', sound(['sharp' => false]))['may_start'])->toBeTrue()
        ->and(compute('setup_review', sound(['holding' => 'by magic']))['error']['field'])->toBe('holding');
});

it('has nothing against a tap, a reamer or a countersink at its own share of the speed, nor against one turned by hand', function (
    array $facts,
): void {
    expect(found(sound($facts)))->not->toHaveKey('power_tap_too_fast')->not->toHaveKey('speed_too_fast')
        ->not->toHaveKey('unknown_operation_factor');
})->with([
    [['tool' => 'tap', 'rpm' => 280, 'diameter_mm' => 8, 'hand_tool' => false]],
    [['tool' => 'tap', 'rpm' => 1400, 'diameter_mm' => 8, 'hand_tool' => true, 'powered' => false]],
    [['tool' => 'reamer', 'rpm' => 500, 'diameter_mm' => 8]],
    [['tool' => 'countersink', 'rpm' => 280, 'diameter_mm' => 10]],
    [['tool' => 'hole_saw', 'rpm' => 100, 'operation_factor' => 0.3]],
]);
