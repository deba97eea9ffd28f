<?php

declare(strict_types=1);

beforeEach(fn () => $this->actingAs($this->person()));

it('judges a drill\'s two lips as the core does, and draws them', function (array $lips, string $verdict, float $oversize): void {
    $found = $this->postJson('/api/planning/drill-point', ['diameter' => '10', 'point_angle' => 118, ...$lips])->assertOk();
    expect($found->json('verdict'))->toBe($verdict)
        ->and($found->json('oversize_mm'))->toEqualWithDelta($oversize, 1e-6)
        ->and($found->json('hole_mm'))->toEqualWithDelta(10 + $oversize, 1e-6)
        ->and($found->json('drawing.shapes'))->not->toBe([]);
})->with([
    'even' => [['lip_a' => '5.8', 'lip_b' => '5.8', 'angle_a' => 59, 'angle_b' => 59], 'sound', 0.0],
    'one longer' => [['lip_a' => '6', 'lip_b' => '5.8', 'angle_a' => 59, 'angle_b' => 59], 'regrind', 0.2 * sin(deg2rad(59))],
    'one steeper' => [['lip_a' => '5.8', 'lip_b' => '5.8', 'angle_a' => 62, 'angle_b' => 59], 'regrind',
        5.8 * (sin(deg2rad(62)) - sin(deg2rad(59)))],
    'another point' => [['lip_a' => '5.4', 'lip_b' => '5.4', 'angle_a' => 67.5, 'angle_b' => 67.5], 'wrong_point', 0.0],
    'in inches' => [['lip_a' => '1/4', 'lip_b' => '6.35', 'angle_a' => 59, 'angle_b' => 59], 'sound', 0.0],
]);

it('says beside its field what cannot be understood', function (array $wrong, string $field): void {
    $this->postJson('/api/planning/drill-point', [
        'diameter' => '10', 'lip_a' => '5.8', 'lip_b' => '5.8', 'angle_a' => 59, 'angle_b' => 59, ...$wrong,
    ])->assertUnprocessable()->assertJsonValidationErrorFor($field);
})->with([
    [['lip_a' => 'long'], 'lip_a'], [['lip_b' => '0'], 'lip_b'], [['angle_a' => 'sharp'], 'angle_a'], [['angle_b' => 90], 'angle_b'],
    'a point slipped' => [['lip_a' => '58', 'lip_b' => '58'], 'lip_a'], 'inches in millimetres' => [['lip_b' => '0.23'], 'lip_b'],
    [['diameter' => str_repeat('9', 40)], 'diameter'], [['lip_a' => ['5.8']], 'lip_a'], [['point_angle' => 5], 'point_angle'],
]);
