<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** A hole on the lathe bored to size. */

/** @return array<string, mixed> */
function bored(array $hole = [], array $with = []): array
{
    return hole(['purpose' => 'bored', 'diameter_mm' => 14, ...$hole], [
        'machine' => lathe(), 'thickness_mm' => 20, 'work_diameter_mm' => 40, ...$with,
    ]);
}

it('drills what the machine can hold, leaves the bar something, and measures before the last cut', function (): void {
    $plan = bored();
    ['drill' => $drill, 'bore' => $bore] = operations($plan);
    expect($plan['missing'])->toBe([])
        ->and(objections($plan))->toBe([])
        ->and($drill['diameter_mm'])->toBeLessThanOrEqual(13)
        ->and(array_slice($bore['passes_mm'], -2))->toEqualWithDelta([13.8, 14], 1e-9)
        ->and(told($bore['needs']))->toContain('measure_before_last before_mm=13.8 left_mm=0.2')
        ->and(told($bore['cautions']))->toContain('boring_clear')
        ->and($bore['standing'])->toContain('eyes')
        ->and(told($bore['needs']))->toContain('bar_taken');
});

it('takes the stoutest bar that goes in, and says what one that springs does', function (array $bars, float $length, string $says): void {
    $plan = bored([], ['thickness_mm' => $length, 'crib' => ['drills' => crib(0.5), 'boring_bars' => $bars]]);
    expect(told([...$plan['missing'], ...$plan['warnings'], ...(operations($plan)['bore']['needs'] ?? [])]))->toContain($says);
})->with([
    'two of them' => [[['bar_mm' => 6, 'enters_mm' => 8], ['bar_mm' => 8, 'enters_mm' => 11]], 20, 'bar_out bar_mm=8'],
    'the stout one is too wide' => [[['bar_mm' => 6, 'enters_mm' => 8], ['bar_mm' => 10, 'enters_mm' => 14]], 20, 'bar_out bar_mm=6'],
    'none goes in' => [[['bar_mm' => 16, 'enters_mm' => 20]], 20, 'planning.lacks.boring_bar drilled_mm='],
    'none at all' => [[], 20, 'planning.lacks.boring_bar drilled_mm='],
    'a bar that sings' => [[['bar_mm' => 6, 'enters_mm' => 8]], 25, 'planning.warns.bar_springs'],
    'a bar that keeps no size' => [[['bar_mm' => 6, 'enters_mm' => 8]], 40, 'planning.lacks.stout_bar'],
    'a bar that is too short' => [[['bar_mm' => 10, 'enters_mm' => 12, 'reach_mm' => 24]], 20, 'planning.lacks.bar_reach'],
]);

it('bores on the lathe only', function (): void {
    $plan = hole(['purpose' => 'bored', 'diameter_mm' => 14], []);
    expect(told($plan['missing']))->toContain('planning.lacks.boring_machine')->and($plan['operations'])->toBe([]);
});

it('keeps what a bar keeps and no more', function (string $fit, float $size, bool $kept): void {
    $plan = bored(['diameter_mm' => $size, 'fit' => $fit], ['work_diameter_mm' => 60]);
    expect(str_contains(told($plan['missing']), 'planning.lacks.size'))->toBe(! $kept);
})->with([['H7', 22.0, true], ['H7', 14.0, false], ['H8', 14.0, true]]);

it('bores a blind hole to its floor and a batch right through, and parts it off at the bore', function (): void {
    $blind = operations(bored(['through' => false, 'depth_mm' => 12]))['bore'];
    $batch = compute('lathe_plan', [
        'material' => 'mild_steel', 'bar' => ['diameter_mm' => 40], 'count' => 3, 'machine' => lathe(),
        'part' => ['thickness_mm' => 5, 'outside_mm' => 38, 'bore' => ['purpose' => 'bored', 'diameter_mm' => 20]],
        'crib' => ['drills' => crib(0.1)],
    ]);
    $part = array_column(operations($batch)['part_off']['figures'], null, 'key');
    expect($blind['total_depth_mm'])->toEqual(12)
        ->and(told($blind['needs']))->toContain('bar_floor')
        ->and(operations($batch)['bore']['passes_mm'])->not->toBe([])
        ->and($part['depth_mm']['terms'])->toMatchArray(['D_mm' => 38, 'd_mm' => 20])
        ->and(objections($batch))->toBe([]);
});

it('tells of a bar that fills its hole or springs', function (array $facts, string $code, string $severity): void {
    $setup = array_values(array_filter(bored()['setups'], fn (array $setup): bool => $setup['tool'] === 'boring_bar'))[0];
    $findings = array_column(compute('setup_review', [...$setup, ...$facts])['findings'], 'severity', 'code');
    expect($findings[$code] ?? null)->toBe($severity);
})->with([
    [['bar_mm' => 13], 'bar_fills_hole', 'stop'],
    [['bar_out_mm' => 45], 'bar_springs', 'note'],
    [['bar_out_mm' => 80], 'bar_springs', 'fix'],
    [['rpm' => 2000], 'power_tap_too_fast', 'stop'],
]);
