<?php

declare(strict_types=1);

require_once __DIR__.'/../Planning/helpers.php';

/** @return array<string, mixed> a plan with what there is to hold with */
function with_kit(array $pieces, array $with = []): array
{
    return hole(['purpose' => 'plain', 'diameter_mm' => 8], ['crib' => ['drills' => crib(0.1), 'holdings' => array_map(
        static fn (array $piece): array => ['piece' => $piece[0], 'takes_mm' => $piece[1]],
        $pieces,
    )], ...$with]);
}

it('plans with what the shop has to hold with', function (array $pieces, string $method): void {
    expect(with_kit($pieces)['holding']['method'])->toBe($method);
})->with([
    'a vice' => [[['vice', 100]], 'vice_bolted'],
    'clamps, said once, are a pair' => [[['bar_clamp', 80]], 'bar_clamp_pair'],
    'straps' => [[['strap', 120]], 'strap_clamp_pair'],
    'an angle plate wants clamps too' => [[['angle_plate', 150], ['strap', 100]], 'strap_clamp_pair'],
]);

it('takes a V-block that is large enough for the bar, and says where none is', function (): void {
    $bar = static fn (float $takes): array => with_kit(
        [['v_block', $takes], ['vice', 100]],
        ['thickness_mm' => 30, 'work_diameter_mm' => 30],
    );
    expect($bar(40)['ready'])->toBeTrue()->and($bar(40)['holding']['method'])->toBe('v_block_clamped')
        ->and(told($bar(25)['missing']))->toContain('planning.lacks.holding_kit holding=workshop.holding.v_block_clamped');
});

it('says of a way that was asked for that the shop has not what it takes', function (string $asked, array $pieces, bool $has): void {
    $plan = with_kit($pieces, ['holding' => $asked]);
    expect(str_contains(told($plan['missing']), 'holding_kit'))->toBe(! $has);
})->with([
    ['strap_clamp_pair', [['vice', 100]], false], ['strap_clamp_pair', [['strap', 100]], true],
    ['vice_against_stop', [['vice', 100]], false], ['vice_against_stop', [['vice', 100], ['stop', 40]], true],
    ['angle_plate_clamped', [['angle_plate', 100]], false], ['angle_plate_clamped', [['angle_plate', 100], ['bar_clamp', 60]], true],
    // A hand is refused for what it is, whatever there is.
    ['hand_bare', [['vice', 100]], true],
]);

it('asks nothing of the kit where nothing is said of it, or on a lathe', function (): void {
    expect(hole(['purpose' => 'plain', 'diameter_mm' => 8])['ready'])->toBeTrue()
        ->and(with_kit([['vice', 100]], ['machine' => lathe(), 'work_diameter_mm' => 25])['ready'])->toBeTrue();
});

it('recommends only what is there', function (): void {
    $plan = with_kit([['bar_clamp', 80], ['vice', 100]], ['lever_mm' => 12, 'holding' => 'bar_clamp_single']);
    expect(told($plan['missing']))->toContain('holding=workshop.holding.')->not->toContain('strap_clamp_pair');
});
