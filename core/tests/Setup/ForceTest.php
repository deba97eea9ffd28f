<?php

declare(strict_types=1);

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\DeepHole;
use MillStep\Core\Planning\Cutting\FeedTable;
use MillStep\Core\Workshop\Holding\WorkFriction;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\MaterialTable;

it('twists with the square of the diameter', function (): void {
    $torque = static fn (float $diameter): float => compute(
        'drilling_torque',
        ['diameter_mm' => $diameter, 'feed_mm_rev' => 0.1, 'kc_n_mm2' => 2800],
    )['torque_nm'];
    foreach (draws(30, 1, 12) as $diameter) {
        expect($torque(2 * $diameter))->toEqualWithDelta(4 * $torque($diameter), 1e-6);
    }
});

it('holds, just holds, slips, and never by hand', function (float $force, string $method, string $verdict): void {
    expect(
        compute(
            'holding_check',
            ['torque_nm' => 10, 'grab_factor' => 3, 'method' => $method, 'resisting_force_n' => $force, 'lever_mm' => 100],
        )['verdict'],
    )->toBe($verdict);
})->with([
    [450, 'clamp', 'holds'], [449, 'clamp', 'marginal'], [300, 'clamp', 'marginal'], [299, 'clamp', 'slips'],
    [0, 'vice_fixed', 'slips'], [9999, 'hand', 'never'], [9999, 'hand_vice', 'never'],
]);

it('turns further before a hand lets go the faster the spindle', function (): void {
    expect(compute('reaction', ['rpm' => 240, 'work_radius_mm' => 50]))->toMatchArray(['turns' => 1.0, 'degrees' => 360.0])
        ->and(compute('reaction', ['rpm' => 240, 'reaction_s' => 0.5, 'work_radius_mm' => 50])['turns'])->toEqual(2)
        ->and(compute('reaction', ['rpm' => 60, 'work_radius_mm' => 500 / M_PI])['edge_speed_m_s'])->toEqualWithDelta(1, 1e-9);
});

it('knows which ways of holding are a hand', function (): void {
    $byHand = array_keys(array_filter(Workholding::all(), static fn (Workholding $holding): bool => $holding->byHand()));
    expect($byHand)->toBe(['hand_bare', 'hand_vice', 'v_block_loose'])
        ->and(Workholding::get('vice_bolted')->suits('drill_press', Length::mm(12)))->toBeTrue()
        ->and(Workholding::get('vice_bolted')->suits('lathe', Length::mm(12)))->toBeFalse()
        ->and(Workholding::get('vice_loose')->suits('drill_press', Length::mm(2)))->toBeFalse();
});

it('grips plastic less than steel dares, and never at the hopeful end', function (): void {
    expect(WorkFriction::of('plastic'))
        ->toBe(0.1)
        ->and(WorkFriction::of('steel'))
        ->toBe(0.1)
        ->and(WorkFriction::of('copper_alloy'))
        ->toBe(0.15);
});

it('feeds more the wider the drill, in every group', function (): void {
    foreach (array_unique(array_map(static fn ($material): string => $material->group, MaterialTable::shipped()->all())) as $group) {
        $before = 0;
        foreach ([0.4, 0.9, 1.5, 2.5, 4, 7, 10, 15, 19, 24, 60] as $diameter) {
            $feed = FeedTable::feed($group, Length::mm($diameter));
            expect($feed)->toBeGreaterThanOrEqual($before);
            $before = $feed;
        }
    }
});

it('goes slower the deeper the hole', function (): void {
    $factors = array_map(
        static fn (float $diameters): float => DeepHole::of($diameters)->speedFactor,
        [1.0, 3.0, 3.1, 4.1, 5.1, 6.1, 20.0],
    );
    expect($factors)->toBe([1.0, 1.0, 0.9, 0.8, 0.7, 0.6, 0.6])->and(DeepHole::of(2)->message)->toBeNull();
});
