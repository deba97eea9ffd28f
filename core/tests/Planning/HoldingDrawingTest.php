<?php

declare(strict_types=1);

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Drawing\HoldingDrawing;
use MillStep\Core\Workshop\Holding\Workholding;

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed>|null */
function held(string $method, float $lever = 40, float $hole = 9, ?float $bar = null): ?array
{
    return HoldingDrawing::of(
        Workholding::get($method),
        Length::mm($lever),
        Length::mm($hole),
        $bar === null ? null : Length::mm($bar),
    )?->toArray();
}

/** @return list<string> words of a drawing */
function labels(array $drawing): array
{
    return array_column(array_column(array_filter($drawing['shapes'], static fn (array $shape): bool => $shape['kind'] === 'text'),
        'before'), 'code');
}

it('shows the hole to scale, its lever, and a clockwise throw', function (float $lever, float $hole): void {
    $drawing = held('bar_clamp_pair', $lever, $hole);
    $circles = array_values(array_filter($drawing['shapes'], static fn (array $shape): bool => $shape['kind'] === 'circle'));
    $dimension = array_values(array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['length_mm'] ?? null) === $lever));
    expect(array_column($circles, 'radius'))->toContain($hole / 2)->and($dimension)->toHaveCount(1);
    [$arc] = array_values(array_filter($drawing['shapes'], static fn (array $shape): bool => ($shape['style'] ?? '') === 'fault'));
    $before = null;
    foreach ($arc['points'] as [$x, $y]) {
        $angle = atan2($y, $x);
        expect($before === null || $angle < $before)->toBeTrue();
        $before = $angle;
    }
})->with([[40.0, 9.0], [120.0, 20.0], [30.0, 3.0]]);

it('sets the post where the work is thrown to', function (string $method): void {
    $drawing = held($method);
    expect(labels($drawing))->toContain('planning.drawing.stop');
    $posts = array_values(array_filter($drawing['shapes'],
        static fn (array $shape): bool => $shape['kind'] === 'circle' && $shape['style'] === 'tool'));
    // Clockwise, what lies to the right goes down: the post is there, and touches nothing that lies higher.
    expect($posts)->toHaveCount(1)->and($posts[0]['x'])->toBeGreaterThan(0)->and($posts[0]['y'])->toBeLessThan(0);
})->with(['vice_against_stop', 'bar_clamp_and_stop', 'jig_against_stop']);

it('puts a V-block and a clamp on each side of a hole across a bar, none over it', function (): void {
    $drawing = held('v_block_clamped', 40, 6, 25);
    expect(labels($drawing))->toContain('planning.drawing.v_block', 'planning.drawing.strap');
    foreach ($drawing['shapes'] as $shape) {
        if (in_array($shape['style'] ?? '', ['tool', 'hidden'], true)) {
            $xs = array_column($shape['points'], 0);
            expect(min($xs) > 3 || max($xs) < -3)->toBeTrue();
        }
    }
});

it('draws nothing where there is nothing to show', function (string $method, float $lever, float $hole): void {
    expect(held($method, $lever, $hole))->toBeNull();
})->with([['hand_bare', 40, 6], ['v_block_loose', 40, 6], ['three_jaw_chuck', 40, 6], ['vice_bolted', 10, 20]]);

it('stands in the step that holds, whatever holds', function (): void {
    foreach (array_keys(Workholding::all()) as $method) {
        $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['holding' => $method, 'lever_mm' => 60]);
        expect(isset(operations($plan)['hold']['sketch']))->toBe(held($method, 60, 6) !== null, $method);
    }
});
