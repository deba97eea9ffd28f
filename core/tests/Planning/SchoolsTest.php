<?php

declare(strict_types=1);

use MillStep\Core\Planning\Plan\PlanChanges;
use MillStep\Core\Policy\PolicySettings;

require_once __DIR__.'/helpers.php';

/** Holes that between them come to every operation. */
const WANTED = [
    'clearance' => [['purpose' => 'clearance', 'fastener' => 'M8'], []],
    'tapped blind' => [['purpose' => 'tapped', 'thread' => 'M6', 'through' => false, 'depth_mm' => 8], ['thickness_mm' => 25]],
    'reamed' => [['purpose' => 'reamed', 'diameter_mm' => 10], ['thickness_mm' => 12]],
    'cross hole' => [['purpose' => 'plain', 'diameter_mm' => 5], ['work_diameter_mm' => 30, 'thickness_mm' => 30]],
    'sheet' => [['purpose' => 'plain', 'diameter_mm' => 5], ['thickness_mm' => 1.5]],
    'close position' => [['purpose' => 'plain', 'diameter_mm' => 8, 'position_tolerance_mm' => 0.2], []],
];

/** @return list<array{string, string}> every school of every choice */
function schools(): array
{
    $all = [];
    foreach (PolicySettings::all() as $key => $setting) {
        foreach ($setting['choices'] ?? [] as $choice) {
            $all["$key $choice"] = [$key, $choice];
        }
    }

    return $all;
}

it('plans everything by every school, and its own review has nothing against it', function (string $key, string $choice): void {
    foreach (WANTED as $name => [$hole, $with]) {
        foreach (['mild_steel', 'aluminium_6000', 'grey_cast_iron'] as $material) {
            $plan = hole($hole, [...$with, 'material' => $material, 'policy' => [$key => $choice, 'shop_speed_rpm' => 500]]);
            if (isset($plan['error'])) {
                expect($plan['error']['field'])->toBe('material');

                continue;
            }
            // What a way does not keep, the plan says too, and is not ready; its review has nothing else against it.
            $unkept = str_contains(told($plan['missing']), 'planning.lacks.position');
            expect(array_filter(
                objections($plan),
                static fn (string $said): bool => ! $unkept || ! str_starts_with($said, 'process_cannot_keep'),
            ))
                ->toBe([], "$name in $material by $key $choice")
                ->and(array_filter(array_column($plan['operations'], 'why')))
                ->toHaveCount(count($plan['operations']));
        }
    }
})->with(schools());

it('says which school is in force wherever one was chosen', function (string $key, string $kind, string $hole): void {
    [$wanted, $with] = WANTED[$hole];
    foreach (PolicySettings::all()[$key]['choices'] ?? [] as $choice) {
        $step = operations(hole($wanted, [...$with, 'policy' => [$key => $choice, 'shop_speed_rpm' => 500]]))[$kind] ?? null;
        if ($step !== null) {
            expect(told([...$step['why'], ...$step['needs'] ?? []]))->toMatch(
                '/planning\.(marking|punching|locating|chips|reversing|pilot|speed)\.|planning\.why\.(clearance_|left_for_|start_)/',
                "$key $choice",
            );
        }
    }
})->with([
    ['punching_school', 'punch', 'clearance'], ['locating_school', 'locate', 'clearance'],
    ['pilot_school', 'pilot', 'clearance'], ['clearance_fit', 'drill', 'clearance'],
    ['clearance_rule', 'drill', 'clearance'],
    ['speed_school', 'drill', 'clearance'], ['reversing_school', 'tap', 'tapped blind'],
]);

it('changes with one school only what that school is about', function (string $key, string $choice, array $kinds): void {
    foreach (WANTED as $name => [$hole, $with]) {
        $before = hole($hole, $with);
        $changes = PlanChanges::between($before, hole($hole, [...$with, 'policy' => [$key => $choice]]));
        foreach ($changes->operations as $line) {
            if ($line['state'] !== 'same') {
                expect($line['kind'])->toBeIn($kinds, "$name: $key $choice touched {$line['kind']}");
            }
        }
    }
})->with([
    ['marking_school', 'copper', ['mark_out']], ['marking_school', 'bare', ['mark_out']],
    // Across a bar the middle is found by the same school, and how far off the crown one may start follows from the mark.
    ['punching_school', 'prick_and_check', ['punch', 'centre']], ['locating_school', 'pointer', ['locate', 'mark_out']],
    ['locating_school', 'edge_finder', ['locate', 'mark_out', 'centre']], ['reversing_school', 'every_turn', ['tap']],
    ['start_school', 'spot', ['centre', 'pilot', 'drill']], ['chip_school', 'push_on', ['pilot', 'step', 'drill']],
]);

it('steps up by no more than the shop allows, and ends at the size that was wanted', function (): void {
    foreach ([1.5, 2, 2.5, 4] as $ratio) {
        foreach (draws(12, 6.5, 13, 71) as $size) {
            $size = round($size, 1);
            $plan = hole(
                ['purpose' => 'plain', 'diameter_mm' => $size],
                ['policy' => ['pilot_school' => 'stepped', 'max_step_ratio' => $ratio]],
            );
            $drills = array_values(
                array_column(
                    array_filter($plan['operations'], fn (array $step): bool => in_array($step['kind'], ['pilot', 'step', 'drill'], true)),
                    'diameter_mm',
                ),
            );
            expect(end($drills))->toEqualWithDelta($size, 1e-9);
            for ($i = 1; $i < count($drills); $i++) {
                expect($drills[$i] / $drills[$i - 1])
                    ->toBeGreaterThan(1)
                    ->toBeLessThanOrEqual($ratio + 0.35, "$size by $ratio: ".implode(' ', $drills));
            }
        }
    }
});

it('goes slower under a lower cap, never faster, and nothing else changes but the time', function (): void {
    foreach (WANTED as $name => [$hole, $with]) {
        $last = null;
        foreach ([2500, 1400, 850, 500] as $cap) {
            $plan = hole($hole, [...$with, 'policy' => ['learner_cap_rpm' => $cap]]);
            $speeds = array_filter(array_column($plan['operations'], 'rpm'));
            foreach ($speeds as $rpm) {
                expect($rpm)->toBeLessThanOrEqual($cap);
            }
            $what = array_map(
                fn (array $step): array => [$step['kind'], $step['tool'], $step['total_depth_mm'] ?? null, $step['reading_mm'] ?? null],
                $plan['operations'],
            );
            if ($last !== null) {
                expect($what)->toBe($last['what'], $name)->and($plan['time_s'])->toBeGreaterThanOrEqual($last['time'] - 1e-9);
            }
            $last = ['what' => $what, 'time' => $plan['time_s']];
        }
    }
});

it('keeps every figure finite and every operation whole, whatever is asked', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(41));
    $pick = fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
    $ready = 0;
    for ($i = 0; $i < 300; $i++) {
        $purpose = $pick(['plain', 'clearance', 'tapped', 'reamed']);
        $hole = match ($purpose) {
            'clearance' => ['purpose' => $purpose, 'fastener' => $pick(['M3', 'M4', 'M5', 'M6', 'M8', 'M10', '1/4-20', '#8-32'])],
            'tapped' => ['purpose' => $purpose, 'thread' => $pick(['M3', 'M4', 'M5', 'M6', 'M8', 'M10', '1/4-20'])],
            default => ['purpose' => $purpose, 'diameter_mm' => round($random->getInt(10, 130) / 10, 1)],
        };
        $through = $random->getInt(0, 1) === 1;
        $plan = hole([...$hole, 'through' => $through, ...($through ? [] : ['depth_mm' => $random->getInt(2, 30)])], [
            'thickness_mm' => $random->getInt(1, 50),
            'material' => $pick([
                'mild_steel', 'austenitic_stainless', 'aluminium_6000', 'brass_free_cutting', 'acrylic', 'nylon',
                'bronze',
            ]),
            'machine' => $pick([bench(), lathe(), bench(['speeds_rpm' => [2500]]), bench(['chuck_max_mm' => 6])]),
            'crib' => ['drills' => crib($pick([0.1, 0.5]), $pick(['normal', 'zero_rake']))],
        ]);
        if (isset($plan['error'])) {
            expect($plan['error']['message'])->not->toBe('')->and($plan['error']['field'])->not->toBeNull();

            continue;
        }
        expect($plan['ready'])->toBe($plan['missing'] === []);
        array_walk_recursive($plan, function (mixed $value, int|string $key) use ($i): void {
            if (is_float($value) || is_int($value)) {
                expect(is_finite((float) $value))->toBeTrue("plan $i: $key");
            }
            if (is_string($key) && str_ends_with($key, '_mm') && is_numeric($value) && ! in_array($key, ['error_mm', 'deviation_mm'],
                true)) {
                expect((float) $value)->toBeGreaterThanOrEqual(0.0, "plan $i: $key");
            }
        });
        if ($plan['ready']) {
            $ready++;
            expect(objections($plan))->toBe([], "plan $i");
        }
    }
    expect($ready)->toBeGreaterThan(50);
});
