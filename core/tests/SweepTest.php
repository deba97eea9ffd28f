<?php

declare(strict_types=1);

use MillStep\Core\Tests\Sweep\Invariants;
use MillStep\Core\Tests\Sweep\RandomJobs;

/** A taste of bin/sweep, which goes over thousands; the seeds are those that found something once. */
it('plans a random job as must always hold', function (int $seed): void {
    expect(Invariants::check((new RandomJobs($seed))->next())['faults'])->toBe([]);
})->with([522, 668, 927, 1085, 1400, 4969, 112825, ...range(1, 40)]);

it('tells the same jobs from the same seed, and others from another', function (): void {
    expect((new RandomJobs(7))->next())->toBe((new RandomJobs(7))->next())->not->toBe((new RandomJobs(8))->next());
});

it('notices a plan that must not be', function (): void {
    $job = ['op' => 'hole_plan', 'input' => [
        'material' => 'mild_steel', 'thickness_mm' => 8, 'hole' => ['purpose' => 'plain', 'diameter_mm' => 6, 'through' => true],
        'machine' => ['kind' => 'bench_drill_press', 'speeds_rpm' => [280, 850], 'depth_scale' => ['unit' => 'mm', 'graduation_mm' => 1,
            'travel_mm' => 60]],
        'crib' => ['drills' => [['designation' => '6', 'diameter_mm' => 6]]], 'policy' => [],
    ]];
    expect(Invariants::check($job))->toMatchArray(['ready' => true, 'faults' => []]);
    // The same plan, held against a machine and a crib that it was not made for.
    $other = $job;
    $other['input']['machine']['speeds_rpm'] = [500];
    $other['input']['crib']['drills'][0]['diameter_mm'] = 5.9;
    $plan = json_decode(json_encode(MillStep\Core\Operations::compute('hole_plan', $job['input'])->toArray()), true);
    $faults = array_merge(...array_map(
        fn (string $rule): array => (new ReflectionMethod(Invariants::class, $rule))->invoke(null, $other, $plan),
        ['speeds', 'tools'],
    ));
    expect(implode("\n", $faults))->toContain('which the machine has not')->toContain('which the crib has not');
});
