<?php

declare(strict_types=1);

use MillStep\Core\Reference\CentreDrillRange;
use MillStep\Core\Reference\StandardCentreDrill;

it('turns down in equal cuts, none deeper than allowed, ending at the size', function (): void {
    foreach (draws(120, 10, 60, 5) as $start) {
        $finish = $start * 0.6;
        $passes = compute(
            'turning_passes',
            ['start_mm' => $start, 'finish_mm' => $finish, 'max_cut_mm' => 1.2, 'finish_cut_mm' => 0.2],
        )['passes'];
        expect(end($passes))->toEqualWithDelta($finish, 1e-9);
        $before = $start;
        $cuts = [];
        foreach ($passes as $diameter) {
            $cuts[] = ($before - $diameter) / 2;
            $before = $diameter;
        }
        expect(max($cuts))->toBeLessThanOrEqual(1.2 + 1e-6)->and(end($cuts))->toEqualWithDelta(0.2, 1e-6);
        $roughing = array_slice($cuts, 0, -1);
        expect(max($roughing) - min($roughing))->toBeLessThan(1e-6);
        // One cut fewer would have to be deeper than allowed.
        expect(count($roughing) === 1 || array_sum($roughing) / (count($roughing) - 1) > 1.2)->toBeTrue();
    }
});

it('takes a single pass where the finish is all there is', function (float $start): void {
    expect(
        compute('turning_passes', ['start_mm' => $start, 'finish_mm' => 20, 'max_cut_mm' => 1, 'finish_cut_mm' => 0.25])['passes'],
    )->toEqual([20]);
})->with([20.1, 20.5]);

it('allows an overhang up to the ratio and advises beyond', function (float $overhang, ?float $bore, string $verdict, array $advice): void {
    expect(
        compute(
            'stick_out',
            array_filter(
                ['diameter_mm' => 20, 'overhang_mm' => $overhang, 'through_bore_mm' => $bore],
                static fn ($value) => $value !== null,
            ),
        ),
    )->toMatchArray(['verdict' => $verdict, 'advice' => $advice]);
})->with([
    [60, 30, 'unsupported_ok', []],
    [60.0005, 30, 'unsupported_ok', []],
    [60.001, 30, 'support_needed', ['push_into_spindle', 'tailstock', 'steady']],
    [80, 20, 'support_needed', ['push_into_spindle', 'tailstock', 'steady']],
    [80, 19.9, 'support_needed', ['tailstock', 'steady']],
    [80, null, 'support_needed', ['tailstock', 'steady']],
]);

it('forms the cone that its own verdict finds good', function (): void {
    foreach ([[1, 3.15, 1.3], [2.5, 6.3, 3.1], [4, 10, 5]] as [$pilot, $body, $length]) {
        foreach (['pilot_only' => 0, 'too_shallow' => 0.59, 'shallow' => 0.6, 'good' => 0.8, 'full' => 0.91,
            'too_deep' => 1] as $verdict => $fraction) {
            $mouth = compute(
                'centre_drill_depth',
                ['pilot_diameter_mm' => $pilot, 'body_diameter_mm' => $body, 'pilot_length_mm' => $length, 'fraction' => $fraction],
            )['mouth_mm'];
            expect(
                compute(
                    'centre_drill_verdict',
                    ['pilot_diameter_mm' => $pilot, 'body_diameter_mm' => $body, 'mouth_mm' => $mouth],
                )['verdict'],
            )->toBe($verdict, "$pilot at $fraction");
        }
    }
});

it('goes deeper for more of the cone', function (): void {
    $before = 0;
    foreach ([0, 0.25, 0.5, 0.75, 1] as $fraction) {
        $depth = compute(
            'centre_drill_depth',
            ['pilot_diameter_mm' => 2, 'body_diameter_mm' => 5, 'pilot_length_mm' => 2.5, 'fraction' => $fraction],
        )['depth_mm'];
        expect($depth)->toBeGreaterThan($before);
        $before = $depth;
    }
});

it('reads the shipped centre drills, the open end as this size and over', function (): void {
    expect(StandardCentreDrill::ranges('metric'))->toHaveCount(10)->and(StandardCentreDrill::ranges('inch'))->toHaveCount(10);
    $inch = StandardCentreDrill::ranges('inch');
    expect(end($inch)->contains(MillStep\Core\Border\Length::mm(400)))->toBeTrue()
        ->and(CentreDrillRange::nearest($inch, MillStep\Core\Border\Length::mm(14))->size)->toBe('#2');
});

it('covers the whole batch with the bore, and uses no more bar than it says', function (): void {
    foreach ([1, 4, 12] as $count) {
        $plan = compute(
            'part_off_batch',
            [
                'count' => $count, 'thickness_mm' => 5, 'blade_mm' => 2, 'cleanup_mm' => 0.2, 'facing_mm' => 1,
                'drill_diameter_mm' => 8, 'point_angle_deg' => 118, 'depth_margin_mm' => 1.5, 'jaw_clearance_mm' => 6,
            ],
        );
        expect($plan['move_mm'])->toEqualWithDelta(7.2, 1e-9)
            ->and($plan['drilled_full_depth_mm'])->toEqualWithDelta($count * 7.2 + 1.5, 1e-9)
            ->and($plan['overhang_mm'] - $plan['bar_used_mm'])->toEqualWithDelta(6, 1e-9)
            ->and($plan['drilled_total_depth_mm'])->toBeGreaterThan($plan['drilled_full_depth_mm']);
    }
});

it('halves between two touches, from either side', function (): void {
    foreach (draws(50, -60, 60, 8) as $a) {
        $b = $a + 25;
        foreach (['outside' => 19.0, 'inside' => 31.0] as $side => $size) {
            $there = compute('find_centre', ['touch_a_mm' => $a, 'touch_b_mm' => $b, 'tip_mm' => 6, 'side' => $side]);
            expect($there)->toBe(compute('find_centre', ['touch_a_mm' => $b, 'touch_b_mm' => $a, 'tip_mm' => 6, 'side' => $side]))
                ->and($there['size_mm'])->toEqualWithDelta($size, 1e-9)->and($there['centre_mm'])->toEqualWithDelta($a + 12.5, 1e-9);
        }
    }
});
