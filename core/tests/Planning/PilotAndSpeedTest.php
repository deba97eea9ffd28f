<?php

declare(strict_types=1);

$set = array_map(static fn (int $i): array => ['designation' => (string) ($i / 2), 'diameter_mm' => $i / 2], range(2, 26));
$steps = [280, 500, 850, 1400, 2500];

it('never turns a larger drill faster', function () use ($steps): void {
    foreach (draws(200, 5, 90) as $speed) {
        $before = INF;
        foreach ([1, 2.5, 4, 6, 9, 13, 20] as $diameter) {
            $chosen = compute(
                'spindle_speed',
                ['cutting_speed_m_min' => $speed, 'diameter_mm' => $diameter, 'speeds_rpm' => $steps],
            )['chosen_rpm'];
            expect($chosen)->toBeLessThanOrEqual($before);
            $before = $chosen;
        }
    }
});

it('never exceeds target or cap unless the machine has nothing slower', function () use ($steps): void {
    foreach (draws(300, 0.5, 40) as $diameter) {
        $answer = compute(
            'spindle_speed',
            ['cutting_speed_m_min' => 24, 'diameter_mm' => $diameter, 'speeds_rpm' => $steps, 'cap_rpm' => 1000],
        );
        expect($answer['chosen_rpm'] <= min($answer['target_rpm'], 1000) || $answer['chosen_rpm'] == 280)->toBeTrue();
    }
});

it('rounds a continuous speed down to tens and keeps it inside the range', function (
    float $diameter,
    float $chosen,
    string $verdict,
): void {
    expect(compute('spindle_speed', ['cutting_speed_m_min' => 24, 'diameter_mm' => $diameter, 'min_rpm' => 180, 'max_rpm' => 2000]))
        ->toMatchArray(['chosen_rpm' => $chosen, 'verdict' => $verdict]);
})->with([[10, 760.0, 'ok'], [60, 180.0, 'machine_too_fast'], [1.5, 2000.0, 'slow']]);

it('takes speeds and drills in any order', function () use ($set, $steps): void {
    $speed = ['cutting_speed_m_min' => 24, 'diameter_mm' => 7];
    expect(
        compute('spindle_speed', [...$speed, 'speeds_rpm' => array_reverse($steps)]),
    )->toBe(compute('spindle_speed', [...$speed, 'speeds_rpm' => $steps]));
    $plan = ['final_mm' => 12, 'school' => 'stepped', 'threshold_mm' => 6];
    expect(compute('pilot_plan', [...$plan, 'drills' => array_reverse($set)]))->toBe(compute('pilot_plan', [...$plan, 'drills' => $set]));
});

it('leads up in growing steps, each from the set, the final drill last', function () use ($set): void {
    foreach (range(2, 26) as $half) {
        foreach (['web', 'stepped', 'single'] as $school) {
            $plan = compute('pilot_plan', ['final_mm' => $half / 2, 'drills' => $set, 'school' => $school, 'threshold_mm' => 6]);
            $diameters = array_column($plan['steps'], 'diameter_mm');
            $sorted = $diameters;
            sort($sorted);
            expect($diameters)->toBe($sorted)->and(array_unique($diameters))->toBe($diameters)
                ->and(end($diameters))->toEqual($half / 2)
                ->and(array_diff($diameters, array_column($set, 'diameter_mm')))->toBe([]);
        }
    }
});

it('makes no pilot where the policy or the material wants none', function (array $case, string $reason) use ($set): void {
    expect(compute('pilot_plan', ['final_mm' => 9, 'drills' => $set, 'school' => 'web', 'threshold_mm' => 6, ...$case]))
        ->toMatchArray(['school_used' => 'single', 'reason' => $reason]);
})->with([
    [['grabs' => true], 'grabbing_material'],
    [['school' => 'single'], 'single_school'],
    [['threshold_mm' => 9], 'under_threshold'],
    [['threshold_mm' => 8.9996], 'under_threshold'],
]);

it('names the nearest drill when the set cannot make it', function () use ($set): void {
    $error = compute('pilot_plan', ['final_mm' => 9.2, 'drills' => $set, 'school' => 'web', 'threshold_mm' => 6])['error'];
    expect($error['code'])->toBe('no_candidate')->and(told($error['message']))->toContain('nearest=9');
    $error = compute(
        'pilot_plan',
        ['final_mm' => 9, 'drills' => [['designation' => '9', 'diameter_mm' => 9]], 'school' => 'web', 'threshold_mm' => 6],
    )['error'];
    expect($error['code'])->toBe('no_candidate');
});

it('names the topmost key of a nested fault and the place in its words', function (): void {
    $error = compute(
        'pilot_plan',
        [
            'final_mm' => 9,
            'drills' => [['designation' => '9', 'diameter_mm' => 9], ['designation' => 'x', 'diameter_mm' => -1]],
            'school' => 'web',
            'threshold_mm' => 6,
        ],
    )['error'];
    expect($error)
        ->toMatchArray(['code' => 'invalid_input', 'field' => 'drills'])
        ->and($error['message']['terms']['key'])
        ->toBe('drills[1].diameter_mm');
});
