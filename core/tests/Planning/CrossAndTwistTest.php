<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> */
function cross(float $hole, float $bar, array $policy = [], array $wanted = []): array
{
    return hole(
        ['purpose' => 'plain', 'diameter_mm' => $hole, ...$wanted],
        ['thickness_mm' => $bar, 'work_diameter_mm' => $bar, 'policy' => $policy],
    );
}

it('takes the V-block, its groove and straps clear, the middle by the school in force, and both mouths measured', function (
    string $school,
): void {
    $steps = operations(cross(5, 20, ['locating_school' => $school]));
    expect(told($steps['hold']['tool']))->toContain('v_block')
        ->and(told($steps['hold']['needs']))->toContain('groove_clear')->toContain('straps_clear')
        ->and(told($steps['mark_out']['why']))->toContain("planning.crown.$school work_mm=20")
        ->and(told($steps['measure']['needs']))->toContain('cross_measure')
        ->and(array_keys($steps))->toContain('centre');
})->with(['eye', 'pointer', 'edge_finder']);

it('wants a flat where the bar is too steep for a start, by the slope that it has there', function (): void {
    $needs = static fn (float $bar, array $policy = [], array $wanted = []): string => told(
        operations(cross(2, $bar, $policy, $wanted))['centre']['needs'],
    );
    // One blow by eye keeps a zone of 0.5 mm: a quarter of a millimetre off the crown.
    expect($needs(20))->toContain('on_the_crown off_mm=0.25 slope_deg=1.4')
        ->and($needs(5))->toContain('flat_first off_mm=0.25 slope_deg=5.7')
        ->and($needs(5, ['locating_school' => 'edge_finder']))->toContain('on_the_crown off_mm=0.04')
        ->and($needs(5, [], ['position_tolerance_mm' => 0.1]))->toContain('off_mm=0.05');
});

it('says where more than half of the bar goes, and refuses a hole as wide as the bar', function (): void {
    expect(told(cross(10, 20)['warnings']))->not->toContain('cross_weak')
        ->and(told(cross(10.5, 20)['warnings']))->toContain('cross_weak hole_mm=10.5 work_mm=20')
        ->and(cross(12, 12)['error']['code'])->toBe('impossible');
});

it('leaves flat work and the lathe as they were', function (): void {
    $flat = told(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5])));
    $lathe = told(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['machine' => lathe(), 'work_diameter_mm' => 20])));
    foreach ([$flat, $lathe] as $said) {
        expect($said)->not->toContain('groove_clear')->not->toContain('cross_measure')->not->toContain('on_the_crown');
    }
});

it('says what a tap twists with and where it breaks, and what to try when it did', function (): void {
    $plan = hole(['purpose' => 'tapped', 'thread' => 'M8'], ['thickness_mm' => 12]);
    $tap = operations($plan)['tap'];
    $figure = array_column($tap['figures'], null, 'key')['torque_nm'];
    expect($figure['value'])->toEqualWithDelta(2800 * 1.25 ** 2 * 8 / 8000, 1e-9)
        ->and(told($tap['needs']))->toContain('tap_twist torque_nm=4.4 breaks_nm=12.6')
        ->and(array_column($tap['trouble'], 'code')[0])->toBe('planning.broken_tap.isolate')
        ->and(array_column($tap['trouble'], 'code'))->toContain('planning.broken_tap.from_below')
        ->and(told($plan['warnings']))->not->toContain('tap_weak');
    $blind = hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 12], ['thickness_mm' => 25]);
    expect(array_column(operations($blind)['tap']['trouble'], 'code'))->not->toContain('planning.broken_tap.from_below');
});

it('warns of a small tap in tough stock', function (): void {
    $with = static fn (string $material): string => told(hole(
        ['purpose' => 'tapped', 'thread' => 'M2'],
        ['thickness_mm' => 4, 'material' => $material],
    )['warnings']);
    expect($with('austenitic_stainless'))->toContain('tap_weak thread=M2x0.4')->and($with('aluminium_6000'))->not->toContain('tap_weak');
});

it('says of a pipe thread that it is not covered', function (string $said): void {
    $answer = hole(['purpose' => 'tapped', 'thread' => $said]);
    expect($answer['error']['code'])->toBe('invalid_input')->and($answer['error']['message']['code'])->toBe('planning.thread_pipe');
})->with(['1/4 NPT', '1/4-18 NPT', '1/2-14 NPTF', 'G1/4', 'R 1/2', 'Rc1/8', 'BSPT 1/4', '3/8 BSP']);
