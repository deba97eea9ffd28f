<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Planning\Layout\LayoutDrawing;
use MillStep\Core\Planning\Layout\LayoutPlan;
use MillStep\Core\Planning\Plan\BatchDrawing;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\LathePlan;
use MillStep\Core\Planning\Plan\SectionDrawing;

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> */
function section(array $hole, float $thickness, array $with = []): array
{
    $wanted = HolePlan::fromFields(
        Fields::of([
            'material' => 'mild_steel', 'thickness_mm' => $thickness, 'hole' => ['through' => true, ...$hole],
            'machine' => bench(), 'crib' => ['drills' => crib(0.1)], ...$with,
        ]),
    );

    return json_decode(
        json_encode(SectionDrawing::of($wanted->compute(), $thickness, $hole['through'] ?? true), JSON_THROW_ON_ERROR),
        true,
    );
}

/** @return array<string, mixed> */
function layoutOf(array $with): LayoutPlan
{
    return LayoutPlan::fromFields(
        Fields::of([
            'plate' => ['length_mm' => 100, 'width_mm' => 80],
            'hole_mm' => 9,
            'pattern' => 'rectangle',
            'rectangle' => ['columns' => 2, 'rows' => 2, 'inset_x_mm' => 15, 'inset_y_mm' => 15],
            ...$with,
        ]),
    );
}

/** @return list<float> the lengths that a drawing's words say */
function said(array $drawing): array
{
    return array_values(
        array_map(
            static fn (array $text): float => round($text['length_mm'], 4),
            array_filter($drawing['shapes'], static fn (array $shape): bool => $shape['kind'] === 'text' && $shape['length_mm'] !== null),
        ),
    );
}

it('holds everything that it draws inside its bounds', function (array $drawing): void {
    foreach ($drawing['shapes'] as $shape) {
        $points = match ($shape['kind']) {
            'path' => $shape['points'],
            'circle' => [
                [$shape['x'] - $shape['radius'], $shape['y'] - $shape['radius']],
                [$shape['x'] + $shape['radius'], $shape['y'] + $shape['radius']],
            ],
            default => [[$shape['x'], $shape['y']]],
        };
        foreach ($points as [$x, $y]) {
            expect($x)->toBeGreaterThanOrEqual($drawing['min_x'])->toBeLessThanOrEqual($drawing['max_x'])
                ->and($y)->toBeGreaterThanOrEqual($drawing['min_y'])->toBeLessThanOrEqual($drawing['max_y']);
        }
    }
})->with([
    'through' => fn () => section(['purpose' => 'plain', 'diameter_mm' => 9], 8),
    'blind thread' => fn () => section(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 10], 30),
    'tiny hole in thick stock' => fn () => section(['purpose' => 'plain', 'diameter_mm' => 1], 60),
    'layout' => fn () => json_decode(json_encode(LayoutDrawing::of($plan = layoutOf([]), $plan->compute())), true),
]);

it('says the very figures of the plan', function (): void {
    $plan = operations(hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 10], ['thickness_mm' => 30]));
    $said = said(section(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 10], 30));
    foreach ([30, $plan['drill']['diameter_mm'], $plan['drill']['depth_mm'], $plan['drill']['total_depth_mm'],
        $plan['pilot']['diameter_mm'], 10] as $length) {
        expect($said)->toContain(round((float) $length, 4));
    }
});

it('draws the drill to its tip, the stock cut away where it goes through', function (): void {
    $tool = static fn (array $drawing): array => array_values(
        array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['style'] ?? '') === 'tool'),
    )[0]['points'];
    $hatched = static fn (array $drawing): int => count(
        array_filter($drawing['shapes'], static fn (array $shape): bool => $shape['hatched'] ?? false),
    );
    $through = section(['purpose' => 'plain', 'diameter_mm' => 9], 8);
    $blind = section(['purpose' => 'plain', 'diameter_mm' => 9, 'through' => false, 'depth_mm' => 12], 30);
    expect(min(array_column($tool($through), 1)))->toEqualWithDelta(-(9 + 4.5 / tan(deg2rad(59))), 1e-9)->and($hatched($through))->toBe(2)
        ->and(min(array_column($tool($blind), 1)))->toEqualWithDelta(-(12 + 4.5 / tan(deg2rad(59))), 1e-9)->and($hatched($blind))->toBe(1);
});

it('draws no section where there is no drill', function (): void {
    $wanted = HolePlan::fromFields(
        Fields::of([
            'material' => 'mild_steel',
            'thickness_mm' => 8,
            'hole' => ['purpose' => 'tapped', 'thread' => 'M2', 'through' => true],
            'machine' => bench(),
            'crib' => ['drills' => [['designation' => '10', 'diameter_mm' => 10]]],
        ]),
    );
    expect(SectionDrawing::of($wanted->compute(), 8, true))->toBeNull();
});

it('marks the holes that lie too near an edge', function (): void {
    $style = static function (array $with): array {
        $plan = layoutOf($with);

        return array_count_values(
            array_column(
                array_filter(
                    json_decode(json_encode(LayoutDrawing::of($plan, $plan->compute())), true)['shapes'],
                    static fn (array $shape): bool => $shape['kind'] === 'circle',
                ),
                'style',
            ),
        );
    };
    expect($style([]))->toBe(['outline' => 4])->and($style(['edge_ratio' => 2]))->toBe(['fault' => 4]);
});

it('draws one cut a ring, each a move apart', function (): void {
    $wanted = LathePlan::fromFields(
        Fields::of([
            'material' => 'nylon',
            'bar' => ['diameter_mm' => 28],
            'part' => ['thickness_mm' => 5, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 8]],
            'count' => 4,
            'machine' => lathe(),
            'crib' => ['drills' => crib(0.1)],
        ]),
    );
    $plan = $wanted->compute();
    $drawing = json_decode(json_encode(BatchDrawing::of($wanted, $plan)), true);
    $cuts = array_values(
        array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['hatched'] ?? false) && $shape['points'][0][0] > 0),
    );
    expect($cuts)->toHaveCount(4)->and($cuts[0]['points'][0][0] - $cuts[1]['points'][0][0])->toEqualWithDelta($plan->batch['move_mm'], 1e-9)
        ->and(said($drawing))->toContain(round($plan->batch['overhang_mm'], 4), round($plan->batch['drilled_total_depth_mm'], 4));
});
