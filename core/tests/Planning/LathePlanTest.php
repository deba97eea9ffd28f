<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> */
function batch(array $with = []): array
{
    return compute(
        'lathe_plan',
        [
            'material' => 'nylon',
            'bar' => ['diameter_mm' => 28],
            'part' => ['thickness_mm' => 5, 'outside_mm' => 26, 'bore' => ['purpose' => 'clearance', 'fastener' => 'M8']],
            'count' => 6,
            'machine' => lathe(),
            'crib' => ['drills' => crib(0.1)],
            ...$with,
        ],
    );
}

it('drills through the whole batch, by the moves that the dial really makes', function (): void {
    $plan = batch();
    expect($plan['batch']['move_mm'])->toEqualWithDelta(284 * 0.0254, 1e-9)
        ->and($plan['batch']['bar_used_mm'])->toEqualWithDelta(1 + 6 * 284 * 0.0254, 1e-9)
        ->and($plan['batch']['drilled_full_depth_mm'])->toEqualWithDelta(operations($plan)['drill']['depth_mm'], 1e-9)
        ->and($plan['batch']['drilled_total_depth_mm'])->toEqualWithDelta(operations($plan)['drill']['total_depth_mm'], 1e-9)
        ->and($plan['batch']['overhang_mm'])->toEqualWithDelta($plan['batch']['bar_used_mm'] + 5, 1e-9)
        ->and($plan['batch']['blank_mm'])->toEqualWithDelta($plan['batch']['overhang_mm'] + 28, 1e-9);
});

it('leaves metal whatever the dial: no move is shorter than blade, part and clean-up', function (): void {
    foreach (draws(40, 2, 12, 5) as $i => $thickness) {
        $plan = batch([
            'part' => ['thickness_mm' => $thickness, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 6]],
            'count' => 2,
            'machine' => lathe(['dial' => ['graduation_mm' => [0.0254, 0.05, 0.02, 0.1][$i % 4], 'divisions_per_turn' => 60]]),
        ]);
        $over = $plan['batch']['move_mm'] - (2 + $thickness + 0.2);
        expect($over)->toBeGreaterThanOrEqual(-1e-9)->toBeLessThan([0.0254, 0.05, 0.02, 0.1][$i % 4] + 1e-9);
    }
});

it('says how many can be made at once where the batch stands out too far', function (): void {
    $long = batch(['count' => 14]);
    $most = $long['batch']['most_at_once'];
    expect($long['ready'])
        ->toBeFalse()
        ->and(told($long['missing']))
        ->toContain('instead=planning.instead.fewer_at_once count=10')
        ->and($most)
        ->toBe(10)
        ->and(batch(['count' => $most])['ready'])
        ->toBeTrue()
        ->and(batch(['count' => $most + 1])['ready'])
        ->toBeFalse();
});

it('taps through the stock as far as a tap cuts, and further than that piece by piece', function (
    array $with,
    ?int $times,
    float $depth,
): void {
    $plan = batch([
        'material' => 'aluminium_6000',
        'bar' => ['diameter_mm' => 30],
        'part' => ['thickness_mm' => 4, 'bore' => ['purpose' => 'tapped', 'thread' => 'M8']],
        'machine' => lathe(['dial' => ['graduation_mm' => 0.1, 'divisions_per_turn' => 40]]),
        ...$with,
    ]);
    $taps = array_values(array_filter($plan['operations'], fn (array $step): bool => $step['kind'] === 'tap'));
    expect($plan['missing'])
        ->toBe([])
        ->and($taps)
        ->toHaveCount(1)
        ->and($taps[0]['repeat'] ?? null)
        ->toBe($times)
        ->and($taps[0]['depth_mm'])
        ->toEqualWithDelta($depth, 1e-9)
        ->and(str_contains(told($taps[0]['why']), 'planning.why.tapped_in_pieces'))->toBe($times !== null)->and(objections($plan))
        ->toBe([]);
})->with([
    'three moves of 6.2 mm: within 20 mm' => [['count' => 3], null, 18.6],
    'four: each before it is parted off' => [['count' => 4], 4, 6.2],
    'one long piece: nothing to part between' => [
        ['count' => 1, 'part' => ['thickness_mm' => 25, 'bore' => ['purpose' => 'tapped', 'thread' => 'M8']]],
        null,
        27.2,
    ],
]);

it('says that a move is exact, or by how much it is over', function (float $thickness, string $words): void {
    $part = ['thickness_mm' => $thickness, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 6]];
    expect(
        told(operations(
            batch(['part' => $part, 'machine' => lathe(['dial' => ['graduation_mm' => 0.05, 'divisions_per_turn' => 40]])]),
        )['part_off']['why']),
    )->toContain($words);
})->with([[5.0, 'move_mm=7.2 divisions=144 over_mm=0'], [5.02, 'divisions=145 over_mm=0.03']]);

it('lets a steady carry long work, and does not let the tailstock do two things', function (): void {
    $deep = ['machine' => lathe(['depth_scale' => ['unit' => 'mm', 'graduation_mm' => 1, 'travel_mm' => 150]]), 'support' => 'steady'];
    // A drill of the long series, since fourteen rings are deeper than the usual one reaches.
    $deep['crib'] = ['drills' => array_map(static fn (array $drill): array => [...$drill, 'flute_length_mm' => 125], crib(0.5))];
    expect(batch(['count' => 14, ...$deep])['missing'])
        ->toBe([])
        ->and(objections(batch(['count' => 14, ...$deep])))
        ->toBe([])
        ->and(told(batch(['count' => 11, 'support' => 'tailstock'])['missing']))
        ->toContain('planning.lacks.tailstock_twice');
});

it('makes a long bar ready to be carried by a centre', function (): void {
    $plan = batch([
        'material' => 'mild_steel',
        'bar' => ['diameter_mm' => 25],
        'part' => ['thickness_mm' => 180, 'part_off' => false, 'support_centre' => true],
        'count' => 1,
        'overhang_mm' => 200,
        'support' => 'tailstock',
        'crib' => ['drills' => crib(0.5), 'centre_drills' => [['size' => '3.15']]],
    ]);
    $centre = operations($plan)['centre'];
    // 3.15 pilot, 8 body, pilot 3.9 long, 85 % of the cone.
    expect($plan['ready'])->toBeTrue()->and(array_column($plan['operations'], 'kind'))->toBe(['face', 'centre', 'deburr', 'measure'])
        ->and($centre['total_depth_mm'])
        ->toEqualWithDelta(3.9 + 0.85 * (8 - 3.15) / 2 / tan(deg2rad(30)), 1e-9)
        ->and(told($centre['why']))
        ->toContain('mouth_mm=7.27')
        ->and($plan['batch'])->toMatchArray(['overhang_verdict' => 'support_needed', 'count' => 1]);
    expect(
        told(batch([
            'material' => 'mild_steel',
            'bar' => ['diameter_mm' => 25],
            'part' => ['thickness_mm' => 180, 'part_off' => false, 'support_centre' => true],
            'overhang_mm' => 200,
            'support' => 'tailstock',
            'crib' => ['drills' => crib(0.5), 'centre_drills' => []],
        ])['missing']),
    )->toContain('planning.lacks.centre_drill size=#3');
});

it('advises to push the bar into the spindle only where it fits', function (): void {
    expect(
        told(batch(['count' => 14, 'machine' => lathe(['through_bore_mm' => 30])])['missing']),
    )->toContain('planning.advice.push_into_spindle planning.advice.tailstock planning.advice.steady')
        ->and(told(batch(['count' => 14, 'machine' => lathe(['through_bore_mm' => 20])])['missing']))->not
        ->toContain('planning.advice.push_into_spindle');
});

it('turns in equal cuts and counts the first on the cross-slide, radius or diameter', function (): void {
    $turn = static fn (bool $diameter): array => operations(
        batch([
            'machine' => lathe(['cross_dial' => ['graduation_mm' => 0.05, 'divisions_per_turn' => 100, 'reads_diameter' => $diameter]]),
        ]),
    )['turn'];
    expect($turn(false)['passes_mm'])
        ->toEqual([26.5, 26])
        ->and($turn(false)['dial_divisions'])
        ->toBe(15)
        ->and($turn(true)['dial_divisions'])
        ->toBe(30);
});

it('judges a bore with what it takes, and says what stands in where the crib has none', function (
    array $bore,
    array $gauges,
    string $tool,
    ?string $warning,
): void {
    $plan = batch(['part' => ['thickness_mm' => 5, 'bore' => $bore], 'crib' => ['drills' => crib(0.1), 'gauges' => $gauges]]);
    expect(told(operations($plan)['measure']['tool']))
        ->toBe($tool)
        ->and(array_filter($plan['warnings'], fn (array $words): bool => str_contains($words['code'], 'gauge')))
        ->toHaveCount($warning === null ? 0 : 1);
    expect(told($plan['warnings']))->toContain($warning ?? '');
})->with([
    'a clearance hole' => [['purpose' => 'clearance', 'fastener' => 'M8'], [], 'planning.gauge.plain', null],
    'reamed, with a plug' => [
        ['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'H7'],
        [['kind' => 'plug', 'size' => '8']],
        'planning.gauge.and_caliper gauge=planning.gauge.reamed',
        null,
    ],
    'reamed, without' => [
        ['purpose' => 'reamed', 'diameter_mm' => 8, 'fit' => 'H7'],
        [['kind' => 'plug', 'size' => '10']],
        'planning.gauge.and_caliper gauge=planning.gauge.reamed',
        'planning.warns.no_plug_gauge size_mm=8',
    ],
    'tapped, without' => [
        ['purpose' => 'tapped', 'thread' => 'M8'],
        [],
        'planning.gauge.and_caliper gauge=planning.gauge.tapped',
        'planning.warns.no_thread_gauge thread=M8x1.25',
    ],
]);

it('reams and judges a bore by its class', function (): void {
    $plan = batch([
        'material' => 'aluminium_6000',
        'bar' => ['diameter_mm' => 30],
        'part' => ['thickness_mm' => 20, 'bore' => ['purpose' => 'reamed', 'diameter_mm' => 10, 'fit' => 'H7']],
        'count' => 1,
    ]);
    expect(told(operations($plan)['ream']['tool']))
        ->toBe('planning.tool.machine_reamer size_mm=10')
        ->and(told(operations($plan)['measure']['why']))
        ->toContain('least_mm=10 most_mm=10.015')
        ->and(objections($plan))
        ->toBe([]);
});

it('refuses what contradicts itself', function (array $with, string $field): void {
    expect(batch($with)['error'])->toMatchArray(['code' => 'invalid_input', 'field' => $field]);
})->with([
    [['part' => ['thickness_mm' => 5, 'outside_mm' => 30]], 'part'],
    [['part' => ['thickness_mm' => 5, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 28]]], 'part'],
    [['machine' => bench()], 'machine'],
    [['count' => 0], 'count'],
    [['support' => 'rope'], 'support'],
]);

it('says which corner of the blade is zeroed, and how thick a ring comes off', function (): void {
    $plan = batch(['machine' => lathe(['dial' => ['graduation_mm' => 0.05, 'divisions_per_turn' => 40]])]);
    $needs = operations($plan)['part_off']['needs'];
    $move = $plan['batch']['move_mm'];
    expect(told($needs))->toContain('planning.needs.blade_zero move_mm='.round($move, 2))
        ->toContain('planning.needs.comes_off raw_mm='.round($move - 2, 2));
});

it('speaks of a lathe at a lathe only', function (): void {
    $words = static fn (string $kind): string => told(array_column(
        compute('setup_review', ['machine_kind' => $kind, 'rotation' => 'reverse'])['findings'],
        'reason',
    ));
    expect($words('drill_press'))->toContain('rotation_wrong_press')->and($words('lathe'))->not->toContain('rotation_wrong_press');
});
