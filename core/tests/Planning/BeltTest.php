<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** @return list<array<string, mixed>> shapes of one style */
function shapes(array $drawing, string $style): array
{
    return array_values(array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['style'] ?? null) === $style));
}

/** @return array{float, float} lowest and highest of a shape */
function heights(array $shape): array
{
    $ys = array_column($shape['points'], 1);

    return [min($ys), max($ys)];
}

it('draws the belt on the step of the speed that is set, the way up that the shop says', function (string $fastest): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 9], ['machine' => bench(['fastest_belt' => $fastest])]);
    $speeds = [280, 500, 850, 1400, 2500];
    $drawn = array_values(array_filter($plan['operations'], static fn (array $step): bool => isset($step['sketch'], $step['rpm'])));
    expect($drawn)->not->toBe([]);
    foreach ($drawn as $step) {
        [$belt] = shapes($step['sketch'], 'tool');
        $place = array_search($step['rpm'], $speeds, false);
        $place = $fastest === 'top' ? $place : 4 - $place;
        [$low, $high] = heights($belt);
        expect($low)->toBeGreaterThan($place * 10.0)->and($high)->toBeLessThan(($place + 1) * 10.0);
        // A wider motor step is a faster speed, and a belt is as long on every step.
        $motor = $spindle = [];
        foreach (shapes($step['sketch'], 'outline') as $pulley) {
            $xs = array_column($pulley['points'], 0);
            $wide = max($xs) - min($xs);
            abs(max($xs) + min($xs)) < 1e-6 ? $motor[] = $wide : $spindle[] = $wide;
        }
        $sorted = $motor;
        sort($sorted);
        expect($motor)->toBe($sorted)->and($motor)->toHaveCount(5);
        foreach ($motor as $index => $wide) {
            expect($wide + $spindle[$index])->toEqualWithDelta(60, 1e-9)
                ->and($wide / $spindle[$index])->toEqualWithDelta($speeds[$index] / sqrt(280 * 2500), 1e-9);
        }
    }
})->with(['top', 'bottom']);

it('draws it only where the belt has to be moved', function (): void {
    $plan = hole(['purpose' => 'clearance', 'fastener' => 'M8'], ['machine' => bench(['fastest_belt' => 'top'])]);
    $rpm = null;
    foreach ($plan['operations'] as $step) {
        if (isset($step['rpm'])) {
            expect(isset($step['sketch']))->toBe($step['rpm'] !== $rpm);
            $rpm = $step['rpm'];
        }
    }
});

it('invents no pulleys', function (array $machine): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['machine' => $machine]);
    expect(array_column(array_column($plan['operations'], 'sketch'), 'title'))->not->toContain('belt');
})->with([
    'nobody said' => [bench()],
    'a variator' => [['kind' => 'floor_drill_press', 'min_rpm' => 200, 'max_rpm' => 2000, 'speed_change' => 'running',
        'fastest_belt' => 'top']],
    'nine speeds' => [bench(['speeds_rpm' => [100, 200, 300, 400, 500, 600, 700, 800, 900], 'fastest_belt' => 'top'])],
    'one speed' => [bench(['speeds_rpm' => [500], 'fastest_belt' => 'top'])],
]);

it('tells which step leaves which line of the section', function (): void {
    $drawing = compute('hole_plan', [
        'material' => 'mild_steel', 'thickness_mm' => 20, 'hole' => ['purpose' => 'tapped', 'thread' => 'M8', 'through' => true],
        'machine' => bench(), 'crib' => ['drills' => crib(0.1)], 'policy' => [],
    ])['operations'];
    expect(array_column($drawing, 'kind'))->toContain('pilot', 'drill', 'tap');
    $section = MillStep\Core\Planning\Plan\SectionDrawing::of(
        MillStep\Core\Planning\Plan\HolePlan::fromFields(MillStep\Core\Border\Fields::of([
            'material' => 'mild_steel', 'thickness_mm' => 20, 'hole' => ['purpose' => 'tapped', 'thread' => 'M8', 'through' => true],
            'machine' => bench(), 'crib' => ['drills' => crib(0.1)], 'policy' => [],
        ]))->compute(),
        20.0,
        true,
    );
    expect(array_unique(array_filter(array_column($section->toArray()['shapes'], 'of'))))->toContain('pilot', 'tap', 'drill');
});
