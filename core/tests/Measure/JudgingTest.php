<?php

declare(strict_types=1);

function judge(float $value, float $uncertainty = 0.02): string
{
    return compute(
        'judge_measurement',
        ['value_mm' => $value, 'lower_mm' => 9, 'upper_mm' => 9.3, 'uncertainty_mm' => $uncertainty],
    )['verdict'];
}

it('is sure inside and outside, and doubtful where the instrument cannot tell', function (float $value, string $verdict): void {
    expect(judge($value))->toBe($verdict);
})->with([
    [8.97, 'out'], [8.98, 'doubtful'], [9.0, 'doubtful'], [9.019, 'doubtful'], [9.02, 'in'], [9.15, 'in'], [9.28, 'in'],
    [9.281, 'doubtful'], [9.32, 'doubtful'], [9.321, 'out'],
]);

it('knows no doubt with a perfect instrument', function (): void {
    foreach (draws(300, 8.5, 9.8) as $value) {
        expect(judge($value, 0))->toBe($value >= 9 - 0.0005 && $value <= 9.3 + 0.0005 ? 'in' : 'out');
    }
});

it('never turns surer with a poorer instrument', function (): void {
    foreach (draws(100, 8.5, 9.8, 2) as $value) {
        $sure = true;
        foreach ([0, 0.01, 0.05, 0.1, 0.14] as $uncertainty) {
            $nowSure = judge($value, $uncertainty) !== 'doubtful';
            expect($sure || ! $nowSure)->toBeTrue("$value at $uncertainty");
            $sure = $nowSure;
        }
    }
});

it('puts a position in the circle whatever its direction', function (): void {
    foreach (range(0, 350, 10) as $degrees) {
        $at = ['dx_mm' => 0.2 * cos(deg2rad($degrees)), 'dy_mm' => 0.2 * sin(deg2rad($degrees))];
        expect(compute('true_position', [...$at, 'tolerance_mm' => 0.4])['verdict'])->toBe('in')
            ->and(compute('true_position', [...$at, 'tolerance_mm' => 0.399])['verdict'])->toBe('out');
    }
});

it('corrects a mark by what is left of it', function (float $offset, string $verdict): void {
    expect(
        compute(
            'mark_correction',
            ['offset_x_mm' => $offset, 'offset_y_mm' => 0, 'mark_diameter_mm' => 1, 'tolerance_mm' => 0.3],
        )['verdict'],
    )->toBe($verdict);
})->with([
    [0, 'leave'], [0.15, 'leave'], [-0.15, 'leave'], [0.16, 'draw_over'], [0.5, 'draw_over'],
    [0.51, 'stone_and_remark'], [-0.51, 'stone_and_remark'],
]);

it('halves the gap between the two lines of a centre finder', function (): void {
    expect(compute('centre_finder_check', ['line_gap_mm' => 0.2, 'tolerance_mm' => 0.1]))->toBe(['error_mm' => 0.1, 'verdict' => 'sound'])
        ->and(compute('centre_finder_check', ['line_gap_mm' => 0.202, 'tolerance_mm' => 0.1])['verdict'])->toBe('reject')
        ->and(compute('centre_finder_check', ['line_gap_mm' => 0, 'tolerance_mm' => 0])['verdict'])->toBe('sound');
});

it('finds no disagreement where there is none, and no spread in one pair', function (): void {
    $pair = static fn (float $learner, float $examiner): array => ['learner_mm' => $learner, 'examiner_mm' => $examiner];
    expect(
        compute('reader_agreement', ['pairs' => [$pair(12, 12), $pair(9.1, 9.1)]]),
    )->toEqual(['count' => 2, 'bias_mm' => 0, 'spread_mm' => 0, 'within_mm' => 0])
        ->and(compute('reader_agreement', ['pairs' => [$pair(12.04, 12)]])['spread_mm'])->toEqual(0)
        // A steady error is bias without spread; one that goes both ways is spread without bias.
        ->and(compute('reader_agreement', ['pairs' => [$pair(12.05, 12), $pair(9.05, 9)]]))->toMatchArray(['spread_mm' => 0.0])
        ->and(compute('reader_agreement', ['pairs' => [$pair(12.05, 12), $pair(8.95, 9)]])['bias_mm'])->toEqualWithDelta(0, 1e-9);
});

it('takes no lip that cannot be of the drill in the hand', function (float $lip, ?string $field): void {
    $found = compute('drill_grind_check', [
        'diameter_mm' => 10, 'lip_a_mm' => $lip, 'lip_b_mm' => 10, 'angle_a_deg' => 30, 'angle_b_deg' => 30, 'point_angle_deg' => 60,
    ]);
    expect($found['error']['field'] ?? null)->toBe($field);
})->with([
    // At 30° a lip reaches half its length: from a quarter to three quarters of the diameter.
    [5.0, null], [4.99, 'lip_a_mm'], [15.0, null], [15.01, 'lip_a_mm'], [58.0, 'lip_a_mm'],
]);
