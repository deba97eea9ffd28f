<?php

declare(strict_types=1);

/** @return array<string, mixed> */
function layout(array $with = []): array
{
    return compute(
        'layout_plan',
        [
            'plate' => ['length_mm' => 100, 'width_mm' => 80],
            'hole_mm' => 9,
            'pattern' => 'rectangle',
            'rectangle' => ['columns' => 2, 'rows' => 2, 'inset_x_mm' => 15, 'inset_y_mm' => 15],
            ...$with,
        ],
    );
}

/** @return list<array{float, float}> */
function places(array $layout, string $x = 'x_mm', string $y = 'y_mm'): array
{
    return array_map(static fn (array $hole): array => [round($hole[$x], 6), round($hole[$y], 6)], $layout['holes']);
}

it('lays out the foot plate: four on a rectangle and one in the middle', function (): void {
    $plan = layout(['rectangle' => ['columns' => 2, 'rows' => 2, 'inset_x_mm' => 15, 'inset_y_mm' => 15, 'middle' => true]]);
    expect(places($plan))->toEqual([[15, 15], [85, 15], [85, 65], [15, 65], [50, 40]])
        ->and($plan)->toMatchArray(['count' => 5, 'ready' => true, 'edge_wanted_mm' => 13.5, 'least_edge_mm' => 15.0])
        ->and($plan['ligament_mm'])
        ->toEqualWithDelta(hypot(35, 25) - 9, 1e-9)
        ->and(array_column($plan['holes'], 'name'))
        ->toBe(['A', 'B', 'C', 'D', 'E']);
});

it('lays out a line from the middle or by count, a circle, single points', function (array $with, array $places): void {
    expect(places(layout($with)))->toEqual($places);
})->with([
    'pitch from the middle' => [
        ['pattern' => 'line', 'line' => ['mode' => 'from_centre', 'pitch_mm' => 30]],
        [[20, 40], [50, 40], [80, 40]],
    ],
    'count between insets' => [
        ['pattern' => 'line', 'line' => ['mode' => 'fit_count', 'count' => 4, 'end_inset_mm' => 14, 'offset_mm' => 20]],
        [[14, 20], [38, 20], [62, 20], [86, 20]],
    ],
    'count at a pitch' => [
        ['pattern' => 'line', 'line' => ['mode' => 'from_centre', 'pitch_mm' => 20, 'count' => 2]],
        [[40, 40], [60, 40]],
    ],
    'circle about the middle' => [
        ['pattern' => 'circle', 'circle' => ['count' => 4, 'circle_mm' => 40]],
        [[70, 40], [50, 60], [30, 40], [50, 20]],
    ],
    'circle, with one in its middle' => [
        ['pattern' => 'circle', 'circle' => ['count' => 2, 'circle_mm' => 40, 'centre_x_mm' => 40, 'centre_y_mm' => 30, 'middle' => true]],
        [[60, 30], [20, 30], [40, 30]],
    ],
    'points from the middle' => [['pattern' => 'points', 'datum' => 'centre', 'points' => [['x_mm' => -20, 'y_mm' => 10]]], [[30, 50]]],
    'grid by pitch' => [
        ['rectangle' => ['mode' => 'from_centre', 'columns' => 2, 'rows' => 1, 'pitch_x_mm' => 40, 'pitch_y_mm' => 10]],
        [[30, 40], [70, 40]],
    ],
]);

it('counts from the datum that was chosen', function (): void {
    expect(places(layout(['datum' => 'centre']), 'datum_x_mm', 'datum_y_mm'))->toEqual([[-35, -25], [35, -25], [35, 25], [-35, 25]]);
});

it('judges the edge by the shop\'s ratio, and the web between holes', function (): void {
    $near = layout(['edge_ratio' => 2]);
    expect($near['ready'])->toBeFalse()->and(told($near['missing']))->toContain('planning.lacks.edge count=4', 'A B C D', 'least_mm=18')
        ->and(layout(['pattern' => 'points', 'points' => [['x_mm' => 50, 'y_mm' => 40]]])['ligament_mm'])->toBeNull()
        ->and(layout(['pattern' => 'points', 'points' => [['x_mm' => 2, 'y_mm' => 40]]])['error'])
        ->toMatchArray(['code' => 'impossible', 'field' => 'points'])
        ->and(layout(['pattern' => 'points', 'points' => [['x_mm' => 50, 'y_mm' => 40], ['x_mm' => 55, 'y_mm' => 40]]])['error']['code'])
        ->toBe('impossible');
});

it('sets each line on a rule, a stack of parallels or a readout, saying how far off that is', function (): void {
    $odd = ['pattern' => 'points', 'points' => [['x_mm' => 15.3, 'y_mm' => 22.71]]];
    $rule = layout([...$odd, 'setting' => 'rule', 'rule_graduation_mm' => 0.5])['holes'][0];
    expect($rule['x_setting'])
        ->toMatchArray(['value_mm' => 15.5])
        ->and($rule['x_setting']['error_mm'])
        ->toEqualWithDelta(0.2, 1e-9)
        ->and($rule['y_setting']['error_mm'])
        ->toEqualWithDelta(-0.21, 1e-9);
    expect(
        layout([...$odd, 'setting' => 'readout', 'datum' => 'corner'])['holes'][0]['y_setting'],
    )->toEqual(['value_mm' => 22.71, 'error_mm' => 0, 'pieces_mm' => []]);
    $stack = layout(['setting' => 'stack', 'parallels' => [3, 10, 12, 15, 20, 40]])['holes'][1];
    expect($stack['x_setting'])->toEqual(['value_mm' => 85, 'error_mm' => 0, 'pieces_mm' => [40, 20, 15, 10]])
        ->and(array_sum($stack['y_setting']['pieces_mm']))->toEqual(15);
    $none = layout(['setting' => 'stack', 'parallels' => [7, 11]]);
    expect($none['ready'])->toBeFalse()->and(told($none['missing']))->toContain('planning.lacks.stack');
    expect(told(layout(['setting' => 'stack'])['missing']))->toContain('planning.lacks.parallels');
});

it('takes a stack that is a little off where none is exact', function (): void {
    $hole = layout([
        'pattern' => 'points',
        'points' => [['x_mm' => 20.04, 'y_mm' => 40]],
        'setting' => 'stack',
        'parallels' => [20, 40],
    ])['holes'][0];
    expect($hole['x_setting']['pieces_mm'])->toEqual([20])->and($hole['x_setting']['error_mm'])->toEqualWithDelta(-0.04, 1e-9);
});

it('lies symmetrical about the middle whatever the numbers', function (): void {
    foreach (draws(30, 3, 7, 3) as $i => $hole) {
        $plan = layout([
            'hole_mm' => $hole,
            'rectangle' => ['columns' => 2 + $i % 3, 'rows' => 1 + $i % 2, 'inset_x_mm' => 12 + $i / 10, 'inset_y_mm' => 20],
        ]);
        $sum = array_sum(array_column($plan['holes'], 'x_mm'));
        expect($sum / $plan['count'])->toEqualWithDelta(50, 1e-6);
    }
});
