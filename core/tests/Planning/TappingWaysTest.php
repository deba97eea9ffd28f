<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** Threads made by the spindle, by a forming tap and for a wire insert. */

/** @return array<string, mixed> */
function threaded(string $tapping, array $hole = [], array $with = []): array
{
    return hole(['purpose' => 'tapped', 'thread' => 'M8', 'tapping' => $tapping, ...$hole], [
        'thickness_mm' => 16, 'lever_mm' => 100,
        'machine' => bench([
            'reverses' => true, 'min_rpm' => 60, 'max_rpm' => 2000, 'speeds_rpm' => null, 'speed_change' => 'running',
        ]),
        ...$with,
    ]);
}

/** @return array<string, mixed> */
function tapSetup(array $plan): array
{
    return array_values(array_filter($plan['setups'], fn (array $setup): bool => $setup['tool'] === 'tap'))[0];
}

it('taps by power at a tap\'s own speed, with what can maim before it, and gets out again', function (): void {
    $plan = threaded('power');
    $tap = operations($plan)['tap'];
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([])
        // A quarter of 24 m/min at 8 mm.
        ->and($tap['rpm'])->toEqual(10 * floor(0.25 * 100 * 24 / M_PI / 8))
        ->and(told($tap['dangers']))->toContain('planning.caution.power_tap')->not->toContain('isolated')
        ->and($tap['standing'])->toContain('eyes')
        ->and(told($tap['needs']))->toContain('power_tap_follows pitch_mm=1.25')->toContain('power_tap_through')
        ->and($tap)->not->toHaveKey('turns')
        ->and(told($tap['tool']))->toContain('spiral_point')
        ->and(told(operations($plan)['drill']['why']))->toContain('tap_drill_power')
        ->and($tap['time_s'])->toEqualWithDelta(2 * 60 * $tap['total_depth_mm'] / 1.25 / $tap['rpm'], 1e-9);
});

it('leaves a spindle that runs on more room in a blind hole than a hand', function (): void {
    $hand = operations(threaded('hand', ['through' => false, 'depth_mm' => 10], ['thickness_mm' => 40]));
    $power = operations(threaded('power', ['through' => false, 'depth_mm' => 10], ['thickness_mm' => 40]));
    $rooms = static fn (array $steps): float => $steps['drill']['depth_mm'] - $steps['tap']['total_depth_mm'];
    expect($rooms($power) - $rooms($hand))->toEqualWithDelta(2 * 1.25, 1e-9)
        ->and(told($power['tap']['needs']))->toContain('power_tap_blind')->toContain('room_mm=3.8');
});

it('refuses what would not come out, pack or crack', function (string $tapping, array $with, string $says): void {
    expect(told(threaded($tapping, [], $with)['missing']))->toContain($says);
})->with([
    'no reverse' => ['power', ['machine' => bench()], 'planning.lacks.reversing_spindle'],
    'no slow speed' => ['power', ['machine' => bench(['reverses' => true, 'speeds_rpm' => [1000, 2000]])], 'planning.lacks.slow_enough'],
    'straight flutes only' => ['power', ['crib' => ['drills' => crib(0.1), 'taps' => [['thread' => 'M8', 'type' => 'taper']]]],
        'planning.lacks.other_taps'],
    'forming in cast iron' => ['forming', ['material' => 'grey_cast_iron'], 'planning.lacks.flows'],
    'forming in brass that crumbles' => ['forming', ['material' => 'brass_free_cutting'], 'planning.lacks.flows'],
    'forming in a plastic' => ['forming', ['material' => 'nylon'], 'planning.lacks.flows'],
    'no insert tap' => ['insert', ['crib' => ['drills' => crib(0.1), 'taps' => [['thread' => 'M8', 'type' => 'taper']]]],
        'planning.lacks.other_taps'],
    'an insert in thin stock' => ['insert', ['thickness_mm' => 8],
        'planning.lacks.room_for_insert thread=M8x1.25 depth_mm=8 needed_mm=9.9'],
]);

it('drills wider for a forming tap, which twists more', function (): void {
    $plan = threaded('forming', [], ['material' => 'aluminium_6000']);
    ['drill' => $drill, 'tap' => $tap] = operations($plan);
    $cut = operations(threaded('power', [], ['material' => 'aluminium_6000']));
    $torque = static fn (array $step): float => array_column($step['figures'], 'value', 'key')['torque_nm'];
    // The chart's own is 7.45.
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([])
        ->and($drill['diameter_mm'])->toBeGreaterThanOrEqual(7.4)->toBeLessThanOrEqual(7.5)
        ->and($torque($tap))->toEqualWithDelta(1.75 * $torque($cut['tap']), 1e-9)
        ->and(told($tap['tool']))->toContain('tap.form');
});

it('drills and taps wide for an insert, by the basic profile, and winds it in', function (string $thread, float $least, float $most): void {
    $plan = threaded('insert', ['thread' => $thread], ['thickness_mm' => 40, 'crib' => ['drills' => array_map(
        static fn (int $i): array => ['designation' => (string) ($i / 20), 'diameter_mm' => $i / 20], range(40, 260),
    )]]);
    $steps = operations($plan);
    // The minor diameter of an insert's thread: D + 0.2165 p at least, and its class above that.
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([])
        ->and($steps['drill']['diameter_mm'])->toBeGreaterThan($least)->toBeLessThan($most)
        ->and(array_keys($steps))->toContain('insert')
        ->and(told($steps['insert']['needs']))->toContain('insert_tang')
        ->and(told($steps['insert']['dangers']))->toContain('tang_flies')
        ->and(told($steps['tap']['tool']))->toContain('tap.insert')
        // A wider mouth would take the thread that the insert's last turn lies in.
        ->and($steps['countersink']['diameter_mm'])->toEqualWithDelta($steps['tap']['diameter_mm'], 1e-9);
})->with([
    ['M5', 5.17, 5.37], ['M6', 6.21, 6.46], ['M8', 8.27, 8.54], ['M10', 10.32, 10.62], ['M12', 12.37, 12.72], ['1/4-20', 6.62, 6.96],
]);

it('takes the longest insert that the thread has room for', function (float $thickness, float $long): void {
    expect(operations(threaded('insert', [], ['thickness_mm' => $thickness]))['insert']['depth_mm'])->toEqual($long);
})->with([[9.9, 8.0], [13.9, 12.0], [16.0, 12.0], [18.0, 16.0], [40.0, 24.0]]);

it('reviews a tap under power', function (array $facts, ?string $code): void {
    $codes = array_column(compute('setup_review', [...tapSetup(threaded('power')), ...$facts])['findings'], 'severity', 'code');
    $code === null ? expect($codes)->not->toContain('stop') : expect($codes[$code] ?? null)->toBe('stop');
})->with([
    [[], null],
    [['machine_reverses' => false], 'power_tap_no_reverse'],
    [['tap_type' => 'taper'], 'power_tap_kind'],
    [['rpm' => 1400], 'power_tap_too_fast'],
    [['hand_tool' => true], 'power_on_hand_tool'],
]);

it('holds against the tap where that twists more than the drill did', function (): void {
    $plan = threaded('hand', ['thread' => 'M12'], ['policy' => ['pilot_school' => 'stepped']]);
    $demand = array_column(operations($plan)['hold']['figures'], null, 'key')['demand_nm'];
    expect($demand['value'])->toEqualWithDelta(2 * 2800 * 1.75 ** 2 * 12 / 8000, 1e-9)
        ->and($demand['rule'])->toContain('holding_tap')
        ->and(told(operations($plan)['hold']['why']))->toContain('planning.why.holding_tap');
});
