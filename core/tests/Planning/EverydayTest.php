<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> */
function store(): array
{
    $drills = [
        ...crib(0.1),
        ...array_map(static fn (int $d): array => ['designation' => (string) $d, 'diameter_mm' => $d, 'taper' => 2], [14, 16, 18, 20]),
        ['designation' => '1/2', 'diameter_mm' => 12.7], ...crib(0.1, 'zero_rake'),
    ];

    return ['drills' => $drills, 'step_drills' => [['diameters_mm' => [4, 6, 8, 10, 12, 14, 16, 18, 20]]]];
}

const FLOOR = ['name' => 'floor drill', 'kind' => 'floor_drill_press', 'min_rpm' => 120, 'max_rpm' => 2000, 'speed_change' => 'running',
    'depth_scale' => ['unit' => 'mm', 'graduation_mm' => 0.5, 'travel_mm' => 120], 'chuck_max_mm' => 16, 'taper' => 3];

/** What any shop drills on any day has to come out ready; a limit that refuses it is too strict. */
it('is ready for everyday work', function (array $hole, array $with): void {
    foreach (['mild_steel', 'medium_carbon_steel', 'aluminium_6000', 'brass_free_cutting', 'acrylic', 'nylon', 'austenitic_stainless',
        'grey_cast_iron'] as $material) {
        $plan = hole($hole, ['crib' => store(), 'material' => $material, ...$with]);
        expect(told($plan['missing']))->toBe('', $material)->and(objections($plan))->toBe([], $material);
    }
})->with([
    '6 in 8' => [['purpose' => 'plain', 'diameter_mm' => 6], []],
    '10 in 10' => [['purpose' => 'plain', 'diameter_mm' => 10], ['thickness_mm' => 10]],
    '12 in 12' => [['purpose' => 'plain', 'diameter_mm' => 12], ['thickness_mm' => 12, 'machine' => FLOOR]],
    '3 in 30, deep' => [['purpose' => 'plain', 'diameter_mm' => 3], ['thickness_mm' => 30]],
    '1.5 in 3' => [['purpose' => 'plain', 'diameter_mm' => 1.5], ['thickness_mm' => 3]],
    '16 in 12 on the floor drill' => [['purpose' => 'plain', 'diameter_mm' => 16],
        ['thickness_mm' => 12, 'machine' => FLOOR, 'lever_mm' => 80]],
    '20 in 15 with a proper lever' => [['purpose' => 'plain', 'diameter_mm' => 20],
        ['thickness_mm' => 15, 'machine' => FLOOR, 'lever_mm' => 100]],
    'M6 through 10' => [['purpose' => 'tapped', 'thread' => 'M6'], ['thickness_mm' => 10]],
    'M3 through 5' => [['purpose' => 'tapped', 'thread' => 'M3'], ['thickness_mm' => 5]],
    'M10 through 15' => [['purpose' => 'tapped', 'thread' => 'M10'], ['thickness_mm' => 15, 'machine' => FLOOR]],
    'M8 blind, 16 deep in 25' => [['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 16], ['thickness_mm' => 25]],
    'a flat head M6' => [['purpose' => 'countersunk', 'fastener' => 'M6'], ['thickness_mm' => 10, 'machine' => FLOOR]],
    'a cap screw M6' => [['purpose' => 'counterbored', 'fastener' => 'M6'], ['thickness_mm' => 20, 'machine' => FLOOR]],
    '10 H7' => [['purpose' => 'reamed', 'diameter_mm' => 10, 'fit' => 'H7'], ['thickness_mm' => 12, 'machine' => FLOOR]],
    '5 across a 20 bar' => [['purpose' => 'plain', 'diameter_mm' => 5], ['thickness_mm' => 20, 'work_diameter_mm' => 20]],
    'half an inch in a one-inch bar' => [['purpose' => 'plain', 'diameter_mm' => 12.7],
        ['thickness_mm' => 40, 'work_diameter_mm' => 25.4, 'machine' => lathe()]],
    '6 in a 12 bar' => [['purpose' => 'plain', 'diameter_mm' => 6],
        ['thickness_mm' => 20, 'work_diameter_mm' => 12, 'machine' => lathe()]],
    'M8 in a 20 bar' => [['purpose' => 'tapped', 'thread' => 'M8'],
        ['thickness_mm' => 20, 'work_diameter_mm' => 20, 'machine' => lathe()]],
    'a washer M8 on a casting' => [['purpose' => 'spotfaced', 'fastener' => 'M8'],
        ['thickness_mm' => 20, 'machine' => [...FLOOR, 'min_rpm' => 50], 'lever_mm' => 80]],
    'M6 by the spindle' => [['purpose' => 'tapped', 'thread' => 'M6', 'tapping' => 'power'],
        ['thickness_mm' => 10, 'machine' => [...FLOOR, 'reverses' => true]]],
    'M6 in an insert' => [['purpose' => 'tapped', 'thread' => 'M6', 'tapping' => 'insert'], ['thickness_mm' => 15]],
    '25 bored in a 50 bar' => [['purpose' => 'bored', 'diameter_mm' => 25],
        ['thickness_mm' => 30, 'work_diameter_mm' => 50, 'machine' => lathe(['taper' => 2])]],
    '18 in a 50 bar' => [['purpose' => 'plain', 'diameter_mm' => 18],
        ['thickness_mm' => 60, 'work_diameter_mm' => 50, 'machine' => lathe(['taper' => 3])]],
]);

it('holds sheet against one step of a step drill, not against a drill of the whole width', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 20], ['thickness_mm' => 1, 'crib' => store(), 'machine' => FLOOR]);
    $drill = operations($plan)['drill'];
    $feed = array_column(operations($plan)['hold']['figures'], null, 'key')['demand_nm']['terms'];
    expect($drill['tool']['code'])->toBe('planning.tool.step_drill')
        ->and($feed)->toMatchArray(['D_mm' => 20, 'd_mm' => 18])
        ->and($plan['holding']['demand_nm'])->toEqualWithDelta(3 * 2800 * $feed['f_mm_rev'] * (20 ** 2 - 18 ** 2) / 8000, 1e-9)
        ->and(objections($plan))->toBe([]);
});

it('is held against the hardest of its drills: opening out in smaller steps asks for less, as it advises', function (): void {
    $demand = static fn (string $school): float => hole(
        ['purpose' => 'plain', 'diameter_mm' => 20],
        ['thickness_mm' => 15, 'crib' => store(), 'machine' => FLOOR, 'lever_mm' => 100, 'policy' => ['pilot_school' => $school]],
    )['holding']['demand_nm'];
    expect($demand('stepped'))->toBeLessThan($demand('web'))->and($demand('web'))->toBeLessThan($demand('single'));
});
