<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** Hole saws, washers' seats, and work that a vice opens for. */
const SLOW = ['kind' => 'floor_drill_press', 'min_rpm' => 60, 'max_rpm' => 2000, 'speed_change' => 'running', 'speeds_rpm' => null];

it('saws a ring where no drill is that wide, with its slug and its snatch said first', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 40], [
        'thickness_mm' => 3, 'lever_mm' => 120, 'machine' => bench(SLOW),
        'crib' => ['drills' => crib(0.1), 'hole_saws' => [['diameter_mm' => 40]]],
    ]);
    $saw = operations($plan)['drill'];
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([])
        ->and(told($saw['tool']))->toContain('hole_saw saw_mm=40')
        ->and($saw['rpm'])->toEqual(10 * floor(0.7 * 100 * 24 / M_PI / 40))
        ->and(told($saw['dangers']))->toContain('saw_snatches')->toContain('slug')
        ->and(told($saw['needs']))->toContain('saw_deep_taken deep_mm=35')
        ->and(array_column(operations($plan)['hold']['figures'], null, 'key')['demand_nm']['terms'])
        ->toMatchArray(['D_mm' => 40, 'd_mm' => 36])
        ->and(array_column($plan['operations'], 'kind'))->not->toContain('pilot');
});

it('draws the saw as a cup, its pilot ahead', function (): void {
    $wanted = MillStep\Core\Planning\Plan\HolePlan::fromFields(MillStep\Core\Border\Fields::of([
        'material' => 'mild_steel', 'thickness_mm' => 3, 'hole' => ['purpose' => 'plain', 'diameter_mm' => 40], 'machine' => bench(SLOW),
        'crib' => ['drills' => crib(0.1), 'hole_saws' => [['diameter_mm' => 40]]], 'policy' => [],
    ]));
    $drawing = json_encode(MillStep\Core\Planning\Plan\SectionDrawing::of($wanted->compute(), 3, true)?->toArray());
    expect($drawing)->toContain('planning.drawing.saw_ahead')->not->toContain('planning.drawing.point')->toContain('18');
});

it('takes a drill of the size before a saw, and no saw for what it cannot do', function (array $hole, array $with, string $says): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 40, ...$hole], [
        'thickness_mm' => 3, 'machine' => bench(SLOW), 'lever_mm' => 120,
        'crib' => ['drills' => crib(0.1), 'hole_saws' => [['diameter_mm' => 40, 'reach_mm' => 30], ['diameter_mm' => 10]]], ...$with,
    ]);
    expect(told([...$plan['missing'], $plan['operations'][count($plan['operations']) - 3]['tool'] ?? '']))->toContain($says);
})->with([
    'a drill is there' => [['diameter_mm' => 10], ['thickness_mm' => 8], 'twist_drill'],
    'too thick' => [[], ['thickness_mm' => 32], 'planning.lacks.saw_deep deep_mm=30'],
    'blind' => [['through' => false, 'depth_mm' => 2], ['thickness_mm' => 6], 'planning.lacks.drill'],
    'with a class' => [['fit' => 'H7'], [], 'planning.lacks.size_by_saw'],
]);

it('finds a step drill for sheet where no drill has the size', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 18], ['thickness_mm' => 1, 'machine' => bench(SLOW), 'lever_mm' => 120,
        'crib' => ['drills' => crib(0.1), 'step_drills' => [['diameters_mm' => [6, 10, 14, 18]]]]]);
    expect($plan['missing'])->toBe([])->and(told(operations($plan)['drill']['tool']))->toContain('step_drill step_mm=18');
});

it('makes a washer\'s seat clean, and cuts a slope down to its low side', function (float $slope, float $deep): void {
    $plan = hole(['purpose' => 'spotfaced', 'fastener' => 'M8', 'slope_deg' => $slope], [
        'thickness_mm' => 20, 'lever_mm' => 120, 'machine' => bench(SLOW),
    ]);
    $steps = operations($plan);
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([])
        ->and($steps['spotface']['total_depth_mm'])->toEqualWithDelta($deep, 1e-9)
        ->and($steps['spotface']['diameter_mm'])->toEqual(20)
        ->and(told($steps['spotface']['needs']))->toContain('spotface_clean')
        ->and(isset($steps['centre']))->toBe($slope > 0);
})->with([[0.0, 0.5], [3.0, 0.5 + 20 * tan(deg2rad(3))]]);

it('sends a slope that a drill slides down to be made flat first', function (): void {
    $plan = hole(['purpose' => 'spotfaced', 'fastener' => 'M8', 'slope_deg' => 10], ['thickness_mm' => 20]);
    expect(told($plan['missing']))->toContain('planning.lacks.flat_for_slope slope_deg=10 most_deg=5')
        ->and(hole(['purpose' => 'spotfaced', 'fastener' => 'M8', 'slope_deg' => 60])['error']['field'])->toBe('hole');
});

it('asks whether the vice opens for the work', function (?float $across, string $asked, string $method, string $says): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], array_filter([
        'crib' => ['drills' => crib(0.1), 'holdings' => [['piece' => 'vice', 'takes_mm' => 100], ['piece' => 'strap', 'takes_mm' => 80]]],
        'work_width_mm' => $across, 'holding' => $asked, 'lever_mm' => 60,
    ]));
    expect($plan['holding']['method'])->toBe($method)->and(told($plan['missing']))->toContain($says);
})->with([
    [80.0, '', 'vice_bolted', ''],
    [null, '', 'vice_bolted', ''],
    [120.0, '', 'strap_clamp_pair', ''],
    [120.0, 'vice_bolted', 'vice_bolted', 'planning.lacks.vice_opening'],
]);
