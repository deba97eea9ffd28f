<?php

declare(strict_types=1);

/** Machines and cribs for plans, and plans as they cross the JSON border. */

/** @return list<array{designation: string, diameter_mm: float, edge: string}> */
function crib(float $step, string $edge = 'normal'): array
{
    return array_map(
        static fn (int $i): array => [
            'designation' => (string) round($i * $step, 1),
            'diameter_mm' => round($i * $step, 1),
            'edge' => $edge,
        ],
        range((int) round(1 / $step), (int) round(13 / $step)),
    );
}

/** @return array<string, mixed> */
function bench(array $with = []): array
{
    return [
        'name' => 'bench drill',
        'kind' => 'bench_drill_press',
        'speeds_rpm' => [280, 500, 850, 1400, 2500],
        'depth_scale' => ['unit' => 'mm', 'graduation_mm' => 1, 'travel_mm' => 120],
        'chuck_max_mm' => 13,
        ...$with,
    ];
}

/** @return array<string, mixed> */
function lathe(array $with = []): array
{
    return [
        'name' => 'inch lathe',
        'kind' => 'lathe',
        'min_rpm' => 60,
        'max_rpm' => 2000,
        'depth_scale' => ['unit' => 'in', 'graduation_mm' => 25.4 / 32, 'travel_mm' => 80],
        'dial' => ['graduation_mm' => 0.0254, 'divisions_per_turn' => 100],
        ...$with,
    ];
}

/** @return array<string, mixed> */
function hole(array $hole, array $with = []): array
{
    return compute(
        'hole_plan',
        [
            'material' => 'mild_steel', 'thickness_mm' => 8, 'hole' => ['through' => true, ...$hole],
            'machine' => bench(), 'crib' => ['drills' => crib(0.1)], 'policy' => [], ...$with,
        ],
    );
}

/** @return array<string, mixed> by kind, the last of each */
function operations(array $plan): array
{
    return array_column($plan['operations'], null, 'kind');
}

/** @return list<string> codes of what the review would stop or have put right */
function objections(array $plan): array
{
    $codes = [];
    foreach ($plan['setups'] as $setup) {
        foreach (compute('setup_review', array_filter($setup, static fn (mixed $value): bool => $value !== null))['findings'] as $finding) {
            if ($finding['severity'] !== 'note') {
                $codes[] = $finding['code'].': '.told($finding['reason']);
            }
        }
    }

    return $codes;
}

/** How far below the face the tip of the final drill stands when its lips touch: nothing on a mere punch mark. */
function inside(array $plan, float $angle = 118): float
{
    $steps = array_values(array_filter(
        $plan['operations'],
        static fn (array $step): bool => in_array($step['kind'], ['centre', 'pilot', 'step', 'drill'], true),
    ));
    $before = $steps[count($steps) - 2] ?? null;
    $open = match ($before['kind'] ?? null) {
        null => 0,
        'centre' => array_column($before['figures'], null, 'key')['total_depth_mm']['terms']['mouth_mm'],
        default => $before['diameter_mm'],
    };

    return min($open, end($steps)['diameter_mm']) / 2 / tan(deg2rad($angle / 2));
}
