<?php

declare(strict_types=1);

const HOLE_KINDS = [
    'clean', 'mark_out', 'punch', 'locate', 'hold', 'centre', 'pilot', 'step', 'drill', 'countersink', 'ream', 'tap',
    'deburr', 'measure',
];
const LATHE_KINDS = ['face', 'centre', 'drill', 'countersink', 'ream', 'tap', 'turn', 'part_off', 'deburr', 'measure'];

require_once __DIR__.'/helpers.php';

it('never proposes what its own review would stop or mend', function (string $material): void {
    $holes = [
        ['purpose' => 'plain', 'diameter_mm' => 3],
        ['purpose' => 'plain', 'diameter_mm' => 12.5],
        ['purpose' => 'clearance', 'fastener' => 'M6'],
        ['purpose' => 'tapped', 'thread' => 'M6'], ['purpose' => 'tapped', 'thread' => '1/4-20', 'through' => false, 'depth_mm' => 10],
        ['purpose' => 'reamed', 'diameter_mm' => 8], ['purpose' => 'plain', 'diameter_mm' => 5, 'through' => false, 'depth_mm' => 20],
    ];
    $ready = 0;
    foreach ([bench(), bench(['speeds_rpm' => null, 'min_rpm' => 180, 'max_rpm' => 2000]), lathe()] as $machine) {
        foreach (['web', 'stepped', 'single'] as $school) {
            foreach ($holes as $hole) {
                $plan = hole(
                    $hole,
                    [
                        'material' => $material,
                        'thickness_mm' => 30,
                        'machine' => array_filter($machine),
                        'policy' => ['pilot_school' => $school, 'learner_cap_rpm' => 1500],
                    ],
                );
                if ($plan['ready'] ?? false) {
                    $ready++;
                    expect(objections($plan))->toBe([]);
                }
            }
        }
    }
    expect($ready)->toBeGreaterThan(20);
})->with(['mild_steel', 'brass_free_cutting', 'aluminium_6000', 'austenitic_stainless', 'acrylic', 'grey_cast_iron']);

it('goes in working order, each operation saying why', function (): void {
    $plan = hole(['purpose' => 'tapped', 'thread' => 'M8']);
    $kinds = array_column($plan['operations'], 'kind');
    expect($kinds)->toBe(['clean', 'mark_out', 'punch', 'locate', 'hold', 'pilot', 'drill', 'countersink', 'tap', 'deburr', 'measure'])
        ->and(array_filter(array_column($plan['operations'], 'why')))->toHaveCount(count($kinds))
        ->and(array_diff($kinds, HOLE_KINDS))->toBe([])
        ->and($plan['time_s'])->toEqualWithDelta(array_sum(array_column($plan['operations'], 'time_s')), 1e-9);
});

it('takes its figures from this crib and this machine', function (): void {
    $plan = hole(['purpose' => 'clearance', 'fastener' => 'M8'], ['crib' => ['drills' => crib(0.5)]]);
    $drill = array_column($plan['operations'], null, 'kind')['drill'];
    expect($drill)->toMatchArray(['diameter_mm' => 9.0, 'rpm' => 500.0, 'depth_mm' => 9.0, 'reading_mm' => 12.0])
        ->and($drill['total_depth_mm'])->toEqualWithDelta(9 + 4.5 / tan(deg2rad(59)), 1e-9)
        ->and(array_column($plan['operations'], null, 'kind')['pilot'])->toMatchArray(['diameter_mm' => 2.0, 'rpm' => 2500.0]);
});

it('reads depths on the machine\'s own scale: a through hole up, a blind one down', function (): void {
    $graduation = 25.4 / 32;
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['machine' => lathe()]);
    $through = operations($plan)['drill'];
    $blind = operations(hole(
        ['purpose' => 'plain', 'diameter_mm' => 6, 'through' => false, 'depth_mm' => 5],
        ['machine' => lathe(), 'thickness_mm' => 20],
    ))['drill'];
    $in = inside($plan);
    expect(fmod($through['reading_mm'] + 1e-9, $graduation))->toBeLessThan(1e-6)
        ->and($through['reading_mm'] + $in - $through['total_depth_mm'])->toBeGreaterThanOrEqual(0)->toBeLessThan($graduation)
        ->and($blind['total_depth_mm'] - $in - $blind['reading_mm'])->toBeGreaterThanOrEqual(0)->toBeLessThan($graduation);
});

it('drills on to the next line where a tap needs the room, and says so where there is no next line', function (): void {
    $blind = ['purpose' => 'tapped', 'thread' => 'M4', 'through' => false, 'depth_mm' => 8];
    $drill = array_column(hole($blind, ['thickness_mm' => 20])['operations'], null, 'kind')['drill'];
    $tight = hole($blind, ['thickness_mm' => $drill['total_depth_mm'] + 1.05]);
    $between = array_column($tight['operations'], null, 'kind')['drill'];
    expect($drill['reading_mm'])->toEqual(ceil($drill['total_depth_mm']))->toBeGreaterThan($drill['total_depth_mm'])
        ->and($between['reading_mm'])->toEqual(floor($drill['total_depth_mm']))
        ->and(told($tight['warnings']))->toContain('planning.warns.next_line_too_deep');
});

it('says what is missing and what would do instead', function (array $hole, array $with, string $words): void {
    $plan = hole($hole, $with);
    expect($plan['ready'])->toBeFalse()->and(told($plan['missing']))->toContain($words);
})->with([
    'no such drill' => [['purpose' => 'plain', 'diameter_mm' => 9.2], ['crib' => ['drills' => crib(0.5)]],
        'planning.lacks.drill_metric wanted_mm=9.2 nearest=9 nearest_mm=9'],
    'no tap drill' => [
        ['purpose' => 'tapped', 'thread' => 'M2'],
        ['crib' => ['drills' => [['designation' => '1', 'diameter_mm' => 1], ['designation' => '6', 'diameter_mm' => 6]]]],
        'planning.no_tap_drill min_percent=60 max_percent=80 wanted_mm=1.636269 nearest=1',
    ],
    'no reamer' => [['purpose' => 'reamed', 'diameter_mm' => 8], ['crib' => ['drills' => crib(0.1), 'reamers' => []]],
        'planning.lacks.reamer reamer_mm=8'],
    'no tap' => [
        ['purpose' => 'tapped', 'thread' => 'M6'],
        [
            'crib' => [
                'drills' => crib(0.1),
                'taps' => [['thread' => 'M6', 'type' => 'bottoming'], ['thread' => 'M8', 'type' => 'spiral_point']],
            ],
        ],
        'planning.lacks.taps thread=M6x1 taps=planning.tap.spiral_point',
    ],
    'chuck too small' => [['purpose' => 'plain', 'diameter_mm' => 12], ['machine' => bench(['chuck_max_mm' => 10])],
        'planning.lacks.chuck_or_taper machine=bench drill chuck_mm=10'],
    'machine too fast' => [['purpose' => 'plain', 'diameter_mm' => 12], ['machine' => bench(['speeds_rpm' => [2500]])],
        'planning.lacks.slow_enough'],
    'holding by hand' => [['purpose' => 'plain', 'diameter_mm' => 4], ['holding' => 'hand_bare'], 'planning.instead.holding'],
    'quill too short' => [['purpose' => 'plain', 'diameter_mm' => 4], ['thickness_mm' => 150], 'planning.lacks.quill_travel'],
    'comes out below' => [
        ['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 7],
        [],
        'planning.lacks.floor_under_thread',
    ],
    'its point comes out below' => [
        ['purpose' => 'plain', 'diameter_mm' => 10, 'through' => false, 'depth_mm' => 6],
        [],
        'planning.lacks.floor total_mm=9 stock_mm=8',
    ],
    'reamer too slow for the machine' => [
        ['purpose' => 'reamed', 'diameter_mm' => 12],
        ['machine' => bench(['speeds_rpm' => [500]])],
        'instead=planning.instead.ream_by_hand',
    ],
    'chuck does not hold' => [
        ['purpose' => 'plain', 'diameter_mm' => 13],
        ['machine' => lathe(), 'material' => 'alloy_steel_annealed', 'work_diameter_mm' => 20],
        'instead=planning.instead.larger_stock',
    ],
    'out of service' => [['purpose' => 'plain', 'diameter_mm' => 4], ['machine' => bench(['in_service' => false])],
        'planning.lacks.out_of_service'],
]);

it('refuses what contradicts itself', function (array $hole, string $code, string $field): void {
    expect(hole($hole)['error'])->toMatchArray(['code' => $code, 'field' => $field]);
})->with([
    [['purpose' => 'plain'], 'invalid_input', 'hole'],
    [['purpose' => 'tapped', 'thread' => 'M8x3'], 'invalid_input', 'hole'],
    [['purpose' => 'plain', 'diameter_mm' => 5, 'through' => false, 'depth_mm' => 9], 'impossible', 'hole'],
]);

it('changes with the school in force', function (): void {
    $diameters = static fn (array $policy): array => array_column(
        array_filter(
            hole(['purpose' => 'plain', 'diameter_mm' => 12], ['policy' => $policy])['operations'],
            static fn (array $step): bool => in_array($step['kind'], ['pilot', 'step', 'drill'], true),
        ),
        'diameter_mm',
    );
    expect($diameters(['pilot_school' => 'single']))->toEqual([12.0])
        ->and($diameters(['pilot_school' => 'web']))->toEqual([2.4, 12.0])
        ->and($diameters(['pilot_school' => 'stepped']))->toHaveCount(3);
    $speed = static fn (array $policy): float => array_column(
        hole(['purpose' => 'plain', 'diameter_mm' => 4], ['policy' => $policy])['operations'],
        null,
        'kind',
    )['drill']['rpm'];
    expect($speed([]))->toEqual(1400.0)->and($speed(['speed_school' => 'shop', 'shop_speed_rpm' => 600]))->toEqual(500.0);
});

it('makes a batch of rings: moves in whole divisions, the bore through all of them', function (): void {
    $plan = compute('lathe_plan', ['material' => 'nylon', 'bar' => ['diameter_mm' => 28], 'part' => ['thickness_mm' => 5,
        'outside_mm' => 26, 'bore' => ['purpose' => 'clearance', 'fastener' => 'M8']],
        'count' => 6, 'machine' => lathe(), 'crib' => ['drills' => crib(0.1, 'zero_rake')], 'policy' => []]);
    $kinds = array_column($plan['operations'], 'kind');
    $parting = array_values(array_filter($plan['operations'], static fn (array $step): bool => $step['kind'] === 'part_off'));
    expect($plan['ready'])->toBeTrue()->and(array_diff($kinds, LATHE_KINDS))->toBe([])
        ->and($parting)
        ->toHaveCount(1)
        ->and($parting[0])
        ->toMatchArray(['dial_divisions' => 284,
            'dial_reading' => ['code' => 'planning.dial.turns', 'terms' => ['count' => 2, 'rest' => 84]], 'repeat' => 6])
        ->and(array_column($plan['operations'], null, 'kind')['drill']['depth_mm'])->toEqualWithDelta(6 * 284 * 0.0254 + 1, 1e-9)
        ->and(objections($plan))->toBe([]);
});

it('wants support for a batch that stands out too far', function (): void {
    $plan = compute(
        'lathe_plan',
        [
            'material' => 'bronze',
            'bar' => ['diameter_mm' => 16],
            'part' => ['thickness_mm' => 12, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 6]],
            'count' => 6,
            'machine' => lathe(['through_bore_mm' => 20]),
            'crib' => ['drills' => crib(0.1)],
            'policy' => [],
        ],
    );
    expect($plan['ready'])->toBeFalse()->and(told($plan['missing']))
        ->toContain('planning.advice.push_into_spindle planning.advice.tailstock planning.advice.steady');
});
