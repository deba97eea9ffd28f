<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** A plan promises no more than its ways keep. */
it('refuses a position that the way of marking and finding does not keep, and says what would', function (
    array $policy,
    float $keeps,
    string $way,
): void {
    $with = static fn (float $within): array => hole(
        ['purpose' => 'plain', 'diameter_mm' => 6, 'position_tolerance_mm' => $within],
        ['policy' => $policy],
    );
    expect($with($keeps)['missing'])->toBe([])
        ->and(told($with($keeps - 0.001)['missing']))
        ->toContain('planning.lacks.position within_mm='.($keeps - 0.001)." way=planning.process.$way")
        ->toContain('instead=');
})->with([
    'one blow, by eye' => [['punching_school' => 'one_blow'], 0.5, 'punch_one_blow_by_eye'],
    'one blow, by pointer' => [['punching_school' => 'one_blow', 'locating_school' => 'pointer'], 0.5, 'punch_one_blow_by_eye'],
    'prick and check' => [['punching_school' => 'prick_and_check'], 0.2, 'prick_and_check'],
    'prick and check, by pointer' => [['punching_school' => 'prick_and_check', 'locating_school' => 'pointer'], 0.2, 'prick_and_check'],
    'readout' => [['locating_school' => 'edge_finder'], 0.08, 'edge_finder_or_readout'],
]);

it('names what would keep a position, the cheapest first, and nothing where nothing does', function (): void {
    $words = static fn (float $within): string => told(
        hole(['purpose' => 'plain', 'diameter_mm' => 6, 'position_tolerance_mm' => $within])['missing'],
    );
    expect(strpos($words(0.15), 'height_gauge_and_prick'))->toBeLessThan(strpos($words(0.15), 'edge_finder_or_readout'))
        ->and($words(0.15))->not->toContain('process.prick_and_check')
        ->and($words(0.05))->toContain('planning.process.none');
});

it('leaves the place on a lathe to the lathe', function (): void {
    expect(told(hole(
        ['purpose' => 'plain', 'diameter_mm' => 6, 'position_tolerance_mm' => 0.05],
        ['machine' => lathe(), 'work_diameter_mm' => 25],
    )['missing']))->not->toContain('lacks.position');
});

it('makes no H7 with a twist drill, and says what does', function (): void {
    $plain = hole(['purpose' => 'plain', 'diameter_mm' => 10, 'fit' => 'H7']);
    expect($plain['ready'])->toBeFalse()
        ->and(told($plain['missing']))->toContain('planning.lacks.size fit=H7 within_mm=0.015 way=planning.process.twist_drill_after_pilot')
        ->and(told(hole(['purpose' => 'plain', 'diameter_mm' => 5, 'fit' => 'H11'])['missing']))->toContain('twist_drill_press')
        ->and(hole(['purpose' => 'reamed', 'diameter_mm' => 10, 'fit' => 'H7'])['missing'])->toBe([]);
});

it('goes by what the shop says that its own ways keep', function (): void {
    $with = static fn (array $policy): array => hole(
        ['purpose' => 'plain', 'diameter_mm' => 6, 'position_tolerance_mm' => 0.3],
        ['policy' => $policy],
    );
    expect(told($with([])['missing']))->toContain('lacks.position')
        ->and($with(['keeps_punch_one_blow_by_eye_mm' => 0.3])['missing'])->toBe([])
        // A shop may trust a way less, too: then it is not what would do instead.
        ->and(told($with([])['missing']))->toContain('process.prick_and_check')
        ->and(told($with(['keeps_prick_and_check_mm' => 0.4])['missing']))->not->toContain('process.prick_and_check');
});

it('has the review say the same, from the facts that were planned', function (array $policy, array $hole, bool $keeps): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6, ...$hole], ['policy' => $policy]);
    $found = implode(' ', objections($plan));
    expect(str_contains($found, 'process_cannot_keep'))->toBe(! $keeps)->and($plan['ready'])->toBe($keeps);
})->with([
    'kept' => [[], ['position_tolerance_mm' => 0.5], true],
    'not kept' => [[], ['position_tolerance_mm' => 0.3], false],
    'kept by this shop' => [['keeps_punch_one_blow_by_eye_mm' => 0.25], ['position_tolerance_mm' => 0.3], true],
    'no H7 with a drill' => [[], ['fit' => 'H7'], false],
]);

it('asks for the way where a tolerance is given, and knows which ways there are', function (): void {
    $setup = hole(['purpose' => 'plain', 'diameter_mm' => 6, 'position_tolerance_mm' => 0.5])['setups'][0];
    $codes = static fn (array $with): array => array_column(
        compute('setup_review', [...array_filter($setup, static fn (mixed $fact): bool => $fact !== null), ...$with])['findings'],
        'code',
    );
    $unsaid = $setup;
    unset($unsaid['position_by']);
    expect($codes([]))->not->toContain('process_cannot_keep')
        ->and(array_column(compute('setup_review', $unsaid)['findings'], 'code'))->toContain('unknown_position_by')
        ->and(compute('setup_review', [...$setup, 'position_by' => 'reamer_hand'])['error']['field'] ?? null)->toBe('position_by');
});
