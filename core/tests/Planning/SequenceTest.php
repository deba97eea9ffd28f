<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** The rules of a sequence one by one: which tools, which school, what is said where the shop has not got it. */
const BRASS = ['material' => 'brass_free_cutting', 'thickness_mm' => 25];

it('gives every number of an operation its working', function (array $plan): void {
    foreach ($plan['operations'] as $step) {
        foreach ($step['figures'] as $figure) {
            if (isset($step[$figure['key']]) && is_numeric($figure['value']) && ! is_array($step[$figure['key']])) {
                expect((float) $step[$figure['key']])->toEqualWithDelta($figure['value'], 1e-9, $step['kind'].' '.$figure['key']);
            }
        }
        foreach (array_intersect(['rpm', 'total_depth_mm', 'reading_mm', 'time_s', 'dial_divisions'], array_keys($step)) as $key) {
            if (! ($step['kind'] === 'ream' && $key === 'time_s') && ! ($step['kind'] === 'turn' && $key === 'dial_divisions')) {
                expect(array_column($step['figures'], 'key'))->toContain($key);
            }
        }
    }
})->with([
    'tapped' => fn () => hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 12], ['thickness_mm' => 30]),
    'reamed' => fn () => hole(['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'H7'], ['machine' => lathe(), 'work_diameter_mm' => 20]),
    'batch' => fn () => compute(
        'lathe_plan',
        [
            'material' => 'nylon',
            'bar' => ['diameter_mm' => 28],
            'part' => ['thickness_mm' => 5, 'outside_mm' => 26, 'bore' => ['purpose' => 'clearance', 'fastener' => 'M8']],
            'count' => 6,
            'machine' => lathe(),
            'crib' => ['drills' => crib(0.1)],
        ],
    ),
]);

it('names belt and lever positions as the shop does, or counts its steps', function (): void {
    $named = hole(
        ['purpose' => 'plain', 'diameter_mm' => 9],
        ['machine' => bench(['speeds_rpm' => [2500, 500, 280, 1400, 850], 'speed_names' => ['E', 'B', 'A', 'D', 'C']])],
    );
    expect(operations($named)['drill'])->toMatchArray(['rpm' => 500.0, 'setting' => 'B'])
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 9]))['drill']['setting'])
        ->toBe(['code' => 'workshop.speed_step', 'terms' => ['step' => 2, 'steps' => 5]])
        ->and(
            operations(
                hole(
                    ['purpose' => 'plain', 'diameter_mm' => 9],
                    ['machine' => array_filter(bench(['speeds_rpm' => null, 'min_rpm' => 180, 'max_rpm' => 2000]))],
                ),
            )['drill'],
        )->not
        ->toHaveKey('setting')
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 9], ['machine' => bench(['speed_names' => ['A']])])['error']['field'])
        ->toBe('machine');
});

it('takes dubbed drills where the material asks for zero rake, sharp ones elsewhere', function (): void {
    $both = ['drills' => [...crib(0.5), ...crib(0.5, 'zero_rake')]];
    $brass = hole(['purpose' => 'plain', 'diameter_mm' => 6], [...BRASS, 'crib' => $both]);
    expect(operations($brass)['drill']['tool'])
        ->toBe(['code' => 'planning.tool.dubbed_drill',
            'terms' => ['size' => ['code' => 'planning.size.metric', 'terms' => ['size' => '6']]]])->and($brass['warnings'])->toBe([]);
    $onlySharp = hole(['purpose' => 'plain', 'diameter_mm' => 6], [...BRASS, 'crib' => ['drills' => crib(0.5)]]);
    expect($onlySharp['ready'])->toBeTrue()->and(told($onlySharp['warnings']))->toContain('planning.warns.no_dubbed_drill')
        ->and(told(operations($onlySharp)['drill']['dangers']))->toContain('planning.caution.grabs_stone_lips');
    expect(operations(hole(['purpose' => 'plain', 'diameter_mm' => 6], ['crib' => $both]))['drill']['tool']['code'])
        ->toBe('planning.tool.twist_drill');
    $onlyDubbed = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['crib' => ['drills' => crib(0.5, 'zero_rake')]]);
    expect($onlyDubbed['ready'])->toBeFalse()->and(told($onlyDubbed['missing']))->toContain('planning.lacks.sharp_drill');
    // Nylon grabs but wants a sharp edge; either will do.
    expect(
        hole(['purpose' => 'plain', 'diameter_mm' => 6], ['material' => 'nylon', 'crib' => ['drills' => crib(0.5, 'zero_rake')]])['ready'],
    )->toBeTrue();
    // The dubbed set has not got the size: the sharp one, once it is dubbed.
    $mixed = hole(
        ['purpose' => 'plain', 'diameter_mm' => 6.3],
        [...BRASS, 'crib' => ['drills' => [...crib(0.5, 'zero_rake'), ...crib(0.1)]]],
    );
    expect($mixed['ready'])
        ->toBeTrue()
        ->and(operations($mixed)['drill']['diameter_mm'])
        ->toEqual(6.3)
        ->and(told($mixed['warnings']))
        ->toContain('planning.warns.no_dubbed_drill');
});

it('takes the taps that the crib has, the nearest sound ones saying so', function (
    array $types,
    bool $through,
    array $expected,
    bool $said,
): void {
    $plan = hole(
        ['purpose' => 'tapped', 'thread' => 'M6', 'through' => $through, ...($through ? [] : ['depth_mm' => 10])],
        [
            'thickness_mm' => 25,
            'crib' => [
                'drills' => crib(0.1),
                'taps' => array_map(static fn (string $type): array => ['thread' => 'M6', 'type' => $type], $types),
            ],
        ],
    );
    $taps = array_values(
        array_filter(array_column($plan['operations'], 'tool'),
            static fn (array $tool): bool => str_starts_with($tool['code'], 'planning.tool.tap.')),
    );
    expect($taps)
        ->toBe(array_map(static fn (string $type): array => ['code' => "planning.tool.tap.$type", 'terms' => ['thread' => 'M6x1']],
            $expected))
        ->and(str_contains(told($plan['warnings']), 'planning.warns.other_taps'))
        ->toBe($said);
})->with([
    'as wanted, through' => [['spiral_point', 'taper'], true, ['spiral_point'], false],
    'taper stands in' => [['taper', 'second', 'bottoming'], true, ['taper'], true],
    'spiral flute stands in' => [['spiral_flute'], true, ['spiral_flute'], true],
    'blind in steel' => [['taper', 'second', 'bottoming'], false, ['taper', 'second', 'bottoming'], false],
    'blind, no second' => [['taper', 'bottoming'], false, ['taper', 'bottoming'], true],
    'blind, spiral flute' => [['spiral_flute'], false, ['spiral_flute'], true],
    'nothing that does it' => [['spiral_point'], false, [], false],
]);

it('drills a blind thread deeper the longer the lead of the last tap', function (): void {
    $depth = static fn (array $types): float => operations(
        hole(
            ['purpose' => 'tapped', 'thread' => 'M6', 'through' => false, 'depth_mm' => 10],
            [
                'thickness_mm' => 40,
                'crib' => [
                    'drills' => crib(0.1),
                    'taps' => array_map(static fn (string $type): array => ['thread' => 'M6', 'type' => $type], $types),
                ],
            ],
        ),
    )['drill']['depth_mm'];
    expect($depth(['taper', 'second', 'bottoming']))
        ->toEqualWithDelta(10 + 3, 1e-9)
        ->and($depth(['spiral_flute']))
        ->toEqualWithDelta(10 + 4, 1e-9)
        ->and($depth(['second']))
        ->toEqualWithDelta(10 + 6, 1e-9);
});

it('turns a straight-flute tap back by the school in force, and never in cast iron', function (): void {
    $words = static fn (array $policy, string $material = 'mild_steel'): string => told(operations(
        hole(
            ['purpose' => 'tapped', 'thread' => 'M6', 'through' => false, 'depth_mm' => 10],
            ['material' => $material, 'thickness_mm' => 25, 'policy' => $policy],
        ),
    )['tap']['needs']);
    expect($words([]))
        ->toContain('planning.reversing.when_it_stiffens')
        ->and($words(['reversing_school' => 'every_turn']))
        ->toContain('planning.reversing.every_turn')
        ->and($words([], 'grey_cast_iron'))->not->toContain('reversing');
});

it('marks, punches and finds the spindle by the schools in force', function (array $policy, string $kind, string $words): void {
    $step = operations(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['policy' => $policy]))[$kind];
    expect(told([$step['tool'], $step['why']]))->toContain($words);
})->with([
    [[], 'mark_out', 'planning.marking.dye'],
    [['marking_school' => 'copper'], 'mark_out', 'planning.marking.copper'],
    [['marking_school' => 'bare'], 'mark_out', 'planning.marking.bare'],
    [[], 'punch', 'planning.punching.one_blow'], [['punching_school' => 'prick_and_check'], 'punch', 'planning.punch_tool.prick_and_check'],
    [[], 'locate', 'planning.locating.eye'],
    [['locating_school' => 'pointer'], 'locate', 'planning.locate_tool.pointer'],
    [['locating_school' => 'edge_finder'], 'locate', 'planning.locating.edge_finder'],
    [['start_school' => 'spot'], 'centre', 'planning.why.start_in_mark'],
    [['chip_school' => 'push_on'], 'drill', 'planning.chips.more_feed'],
    [['chip_school' => 'ease_off'], 'drill', 'planning.chips.ease_off'],
]);

it('starts with a short stiff drill where the mark alone does not hold the place', function (): void {
    expect(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5])))->not->toHaveKey('centre')
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5, 'position_tolerance_mm' => 0.2])))->toHaveKey('centre')
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5, 'position_tolerance_mm' => 0.5])))->not->toHaveKey('centre')
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['work_diameter_mm' => 25, 'thickness_mm' => 25])))
        ->toHaveKey('centre');
});

it('holds a cross hole in a V-block and a plate in a vice', function (): void {
    expect(
        hole(['purpose' => 'plain', 'diameter_mm' => 5], ['work_diameter_mm' => 25, 'thickness_mm' => 25])['holding']['method'],
    )->toBe('v_block_clamped')
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 5])['holding']['method'])->toBe('vice_bolted')
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['machine' => lathe(), 'work_diameter_mm' => 25])['holding'])
        ->toMatchArray(['method' => 'three_jaw_chuck', 'lever_mm' => 12.5]);
});

it('sandwiches thin sheet, or takes the step drill that the crib has', function (): void {
    $sandwiched = hole(['purpose' => 'plain', 'diameter_mm' => 8], ['thickness_mm' => 1]);
    expect(told(operations($sandwiched)['hold']['tool']))->toContain('planning.tool.between_boards')->and(objections($sandwiched))
        ->toBe([]);
    $stepped = hole(
        ['purpose' => 'plain', 'diameter_mm' => 8],
        ['thickness_mm' => 1, 'crib' => ['drills' => crib(0.5), 'step_drills' => [['diameters_mm' => [4, 6, 8, 10]]]]],
    );
    expect(operations($stepped))->not
        ->toHaveKey('pilot')
        ->and(told(operations($stepped)['drill']['tool']))
        ->toContain('planning.tool.step_drill')
        ->and(objections($stepped))
        ->toBe([]);
    expect(
        told(operations(hole(['purpose' => 'plain', 'diameter_mm' => 8], ['thickness_mm' => 2]))['hold']['tool']),
    )->not->toContain('boards');
});

it('sees to shank, chuck, flutes and quill', function (array $drill, array $machine, string $missing, ?string $tool = null): void {
    $plan = hole(
        ['purpose' => 'plain', 'diameter_mm' => 15],
        [
            'machine' => bench(['speeds_rpm' => [150, 280, 500], ...$machine]),
            'crib' => ['drills' => [...crib(0.5), ['designation' => '15', 'diameter_mm' => 15, ...$drill]]],
        ],
    );
    expect(told($plan['missing']))->{$missing === '' ? 'toBe' : 'toContain'}($missing);
    $tool !== null && expect(told(operations($plan)['drill']['tool']))->toContain($tool);
})->with([
    'straight shank over the chuck' => [[], [], 'planning.lacks.chuck_or_taper machine=bench drill chuck_mm=13 drill_mm=15 taper=2'],
    'straight shank, larger chuck' => [[], ['chuck_max_mm' => 16], ''],
    'taper fits' => [['taper' => 2], ['taper' => 2], '',
        'planning.tool.taper_shank drill=planning.tool.twist_drill size=planning.size.metric size=15 taper=2'],
    'taper with sleeve' => [['taper' => 2], ['taper' => 3], '',
        'planning.tool.in_a_sleeve drill=planning.tool.twist_drill size=planning.size.metric size=15 taper=2 to=3'],
    'taper too large' => [['taper' => 3], ['taper' => 2], 'taper=3 machine=bench drill'],
    'taper, none in the machine' => [['taper' => 2], [], 'planning.lacks.taper'],
    'flutes too short' => [['flute_length_mm' => 12], ['chuck_max_mm' => 16],
        'planning.lacks.flutes drill=planning.tool.drill size=planning.size.metric size=15 flutes_mm=12'],
]);

it('judges a reamed hole by its class, and says when the gauge is missing', function (): void {
    $plan = hole(
        ['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'H7'],
        ['thickness_mm' => 20, 'crib' => ['drills' => crib(0.1), 'gauges' => []]],
    );
    expect(told(operations($plan)['measure']['why']))
        ->toContain('fit=H7 least_mm=8 most_mm=8.015')
        ->and(told($plan['warnings']))
        ->toContain('planning.warns.no_plug_gauge size_mm=8')
        ->and(hole(['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'Q9'])['error']['field'])->toBe('fit')
        ->and(
            hole(
                ['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'H7'],
                ['crib' => ['drills' => crib(0.1), 'gauges' => [['kind' => 'plug', 'size' => '8']]]],
            )['warnings'],
        )
        ->toBe([]);
});

it('takes the hand reamer where the drill at hand suits only that', function (): void {
    // 7.9 leaves 0.1: too little for a machine reamer (0.15 to 0.25), right for a hand reamer (0.05 to 0.12).
    $crib = [
        'drills' => [['designation' => '2', 'diameter_mm' => 2], ['designation' => '7.9', 'diameter_mm' => 7.9]],
        'reamers' => [['diameter_mm' => 8, 'method' => 'machine'], ['diameter_mm' => 8, 'method' => 'hand']],
    ];
    $plan = hole(['purpose' => 'reamed', 'diameter_mm' => 8], ['crib' => $crib]);
    expect($plan['ready'])
        ->toBeTrue()
        ->and(told(operations($plan)['ream']['tool']))
        ->toBe('planning.tool.hand_reamer size_mm=8')
        ->and(operations($plan)['ream'])->not
        ->toHaveKey('rpm')
        ->and(objections($plan))
        ->toBe([]);
    expect(
        told(operations(
            hole(['purpose' => 'reamed', 'diameter_mm' => 8, 'reamer' => 'hand'], ['crib' => [...$crib, 'drills' => crib(0.1)]]),
        )['ream']['tool']),
    )->toBe('planning.tool.hand_reamer size_mm=8')
        ->and(
            told(hole(
                ['purpose' => 'reamed', 'diameter_mm' => 8, 'reamer' => 'hand'],
                ['crib' => ['drills' => crib(0.1), 'reamers' => []]],
            )['missing']),
        )
        ->toContain('planning.lacks.hand_reamer reamer_mm=8');
    $plan = hole(
        ['purpose' => 'reamed', 'diameter_mm' => 8],
        ['crib' => [...$crib, 'reamers' => [['diameter_mm' => 8, 'method' => 'machine']]]],
    );
    expect($plan['ready'])->toBeFalse()->and(told($plan['missing']))->toContain('left_mm=0.1 verdict=planning.ream.rubs');
});

it('plans in a material of the shop\'s own', function (): void {
    $own = [
        'key' => 'mast_alloy', 'name' => 'Mast alloy', 'group' => 'aluminium', 'cutting_speed_m_min' => 30,
        'cutting_force_n_mm2' => 900, 'point_angle_deg' => 118, 'chip_form' => 'short', 'lubricant' => 'light oil',
        'grabs' => false, 'edge' => 'normal',
    ];
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 10], ['material' => $own]);
    expect($plan['ready'])
        ->toBeTrue()
        ->and(operations($plan)['drill'])
        ->toMatchArray(['rpm' => 850.0, 'lubricant' => 'light oil'])
        ->and(objections($plan))
        ->toBe([])
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 10], ['material' => [...$own, 'group' => 'cheese']])['error']['field'])
        ->toBe('material')
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 10],
            ['material' => [...$own, 'point_angle_deg' => 10]])['error']['message']['terms']['key'])
        ->toBe('material.point_angle_deg');
});

it('is never slower to finish for a smaller thickness, and never turns a larger drill faster', function (): void {
    $time = 0.0;
    foreach (range(4, 40, 4) as $thickness) {
        $now = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['thickness_mm' => $thickness])['time_s'];
        expect($now)->toBeGreaterThanOrEqual($time);
        $time = $now;
    }
    $before = INF;
    foreach (range(1, 13) as $diameter) {
        $rpm = operations(
            hole(['purpose' => 'plain', 'diameter_mm' => $diameter], ['policy' => ['pilot_school' => 'single']]),
        )['drill']['rpm'];
        expect($rpm)->toBeLessThanOrEqual($before);
        $before = $rpm;
    }
});

it('refuses a policy that lies beyond its limits, naming the setting', function (array $policy, array $words): void {
    expect(
        hole(['purpose' => 'plain', 'diameter_mm' => 5], ['policy' => $policy])['error'],
    )->toMatchArray(['code' => 'invalid_input', 'field' => 'policy'])
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['policy' => $policy])['error']['message'])->toMatchArray($words);
})->with([
    [['pilot_school' => 'guess'], ['code' => 'input.none_of', 'terms' => [
        'key' => 'policy.pilot_school', 'choices' => ['web', 'stepped', 'single'], 'found' => 'guess',
    ]]],
    [['learner_cap_rpm' => 5], ['code' => 'input.not_from_to', 'terms' => [
        'key' => 'policy.learner_cap_rpm', 'least' => 20, 'most' => 10000, 'found' => 5,
    ]]],
    [['web_ratio' => 0.9], ['code' => 'input.not_from_to']],
    [['companion_required' => 'yes'], ['code' => 'input.no_flag']],
]);
