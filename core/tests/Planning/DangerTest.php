<?php

declare(strict_types=1);

use MillStep\Core\Border\Length;
use MillStep\Core\Reference\UsualFlutes;

require_once __DIR__.'/helpers.php';

/** What hurts somebody if a plan gets it wrong. */

/** @return array<string, mixed> the setup of the last operation with this tool */
function setup_with(array $plan, string $tool): array
{
    $all = array_values(array_filter($plan['setups'], static fn (array $setup): bool => $setup['tool'] === $tool));

    return end($all) ?: [];
}

/** @return array<string, mixed> rings or one piece from a bar */
function parted(float $bar, array $part, array $with = []): array
{
    return compute('lathe_plan', [
        'material' => 'mild_steel', 'bar' => ['diameter_mm' => $bar], 'part' => ['thickness_mm' => 6, ...$part], 'count' => 1,
        'machine' => lathe(), 'crib' => ['drills' => crib(0.5)], 'policy' => [], ...$with,
    ]);
}

it('tells the review the speed that it plans for a reamer and a countersink, never none', function (): void {
    $ream = setup_with(hole(['purpose' => 'reamed', 'diameter_mm' => 8]), 'reamer');
    expect($ream['rpm'])->toEqual(280)->and($ream['operation_factor'])->toBe(0.5);
    $sink = setup_with(hole(['purpose' => 'tapped', 'thread' => 'M8']), 'countersink');
    expect($sink['rpm'])->toEqual(280)->and($sink['diameter_mm'])->toEqualWithDelta(8.8, 1e-9);
});

it('recommends no weaker holding, but the strongest that holds with the lever that it needs', function (): void {
    // Two straps at 40 mm resist 80 N·m, and 126 are asked for: a vice resists 32 there.
    $wide = static fn (array $with = []): array => hole(
        ['purpose' => 'plain', 'diameter_mm' => 20],
        ['thickness_mm' => 20, 'crib' => ['drills' => crib_to(20)], 'holding' => 'strap_clamp_pair',
            'machine' => bench(['chuck_max_mm' => 20]), ...$with],
    );
    $plan = $wide();
    $wanted = 1.5 * $plan['holding']['demand_nm'];
    $needs = (int) ceil(1000 * $wanted / $plan['holding']['resisting_force_n']);
    expect(told($plan['missing']))->toContain('planning.lacks.holding ')
        ->toContain("planning.instead.grip_further_out holding=workshop.holding.strap_clamp_pair lever_mm=$needs")->not->toContain('vice');
    expect($wide(['lever_mm' => $needs])['missing'])->toBe([])
        ->and(objections($wide(['lever_mm' => $needs])))->toBe([])
        ->and($wide(['lever_mm' => $needs - 1])['ready'])->toBeFalse();
});

it('recommends only what holds, whatever the hole and the way it was to be held', function (): void {
    foreach (['mild_steel', 'aluminium_6000', 'tool_steel_annealed'] as $material) {
        foreach ([4, 8, 12, 16, 20] as $size) {
            foreach (['vice_loose', 'bar_clamp_pair', 'toggle_clamp_fixture', 'vice_bolted'] as $holding) {
                $with = ['material' => $material, 'thickness_mm' => 20, 'crib' => ['drills' => crib_to(20)],
                    'machine' => bench(['chuck_max_mm' => 20])];
                $plan = hole(['purpose' => 'plain', 'diameter_mm' => $size], [...$with, 'holding' => $holding, 'lever_mm' => 50]);
                foreach ($plan['missing'] as $missing) {
                    $instead = $missing['terms']['instead'] ?? null;
                    if (! isset($instead['terms']['lever_mm'])) {
                        continue;
                    }
                    $method = str_replace('workshop.holding.', '', $instead['terms']['holding']['code']);
                    $again = hole(
                        ['purpose' => 'plain', 'diameter_mm' => $size],
                        [...$with, 'holding' => $method, 'lever_mm' => $instead['terms']['lever_mm']],
                    );
                    expect($again['holding']['verdict'])->toBe('holds', "$size in $material by $method");
                }
            }
        }
    }
});

it('never says what a hand resists', function (string $holding): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 3], ['holding' => $holding]);
    expect($plan['ready'])->toBeFalse()
        ->and($plan['holding'])->toMatchArray(['verdict' => 'never', 'capacity_nm' => null, 'resisting_force_n' => null, 'ratio' => null])
        ->and(told($plan['missing']))->toContain('planning.lacks.holding_by_hand')->not->toContain('capacity')
        ->and(json_encode($plan['operations']))->not->toContain('capacity')->not->toContain('resists_nm');
})->with(['hand_bare', 'hand_vice']);

it('drills what everybody drills: half an inch in an inch bar in the three-jaw', function (): void {
    $plan = hole(
        ['purpose' => 'plain', 'diameter_mm' => 12.7],
        ['machine' => lathe(), 'thickness_mm' => 30, 'work_diameter_mm' => 25.4,
            'crib' => ['drills' => [...crib(0.5), ['designation' => '1/2', 'diameter_mm' => 12.7]]]],
    );
    expect($plan['missing'])->toBe([])->and(objections($plan))->toBe([]);
});

it('says what it took to be so, since nobody said', function (): void {
    $told = static fn (array $plan): string => told(operations($plan)['hold']['needs'] ?? []);
    expect($told(hole(['purpose' => 'plain', 'diameter_mm' => 6])))->toContain('planning.needs.lever_taken lever_mm=40')
        ->and($told(hole(['purpose' => 'plain', 'diameter_mm' => 6], ['lever_mm' => 55])))->toBe('');
    $lathe = static fn (array $with): string => told(
        operations(hole(['purpose' => 'plain', 'diameter_mm' => 6], ['machine' => lathe(), ...$with]))['hold']['needs'] ?? [],
    );
    expect($lathe([]))->toContain('planning.needs.stock_taken work_mm=18')
        ->and($lathe(['work_diameter_mm' => 20]))->not->toContain('stock_taken');
});

it('gives the review the flutes of the crib, else the usual ones, and the mark that it asks for', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 9]);
    expect(setup_with($plan, 'twist_drill'))->toMatchArray(['flute_length_mm' => 81.0, 'mark_diameter_mm' => 1.0])
        ->and(array_column(operations($plan)['drill']['figures'], null, 'key')['flute_length_mm']['rule'])->toBe('flutes.usual');
    $known = hole(['purpose' => 'plain', 'diameter_mm' => 9], ['crib' => ['drills' => [
        ...crib(0.5), ['designation' => '9', 'diameter_mm' => 9, 'flute_length_mm' => 40],
    ]]]);
    expect(setup_with($known, 'twist_drill'))->toMatchArray(['flute_length_mm' => 40.0])
        ->and(array_column(operations($known)['drill']['figures'], null, 'key')['flute_length_mm']['rule'])->toBe('flutes.crib');
    $straight = hole(['purpose' => 'plain', 'diameter_mm' => 10], ['policy' => ['pilot_school' => 'single']]);
    expect(setup_with($straight, 'twist_drill')['mark_diameter_mm'])->toBe(2.5)
        ->and(told(operations($straight)['punch']['why']))->toContain('mark_mm=2.5 web_mm=2');
});

it('knows the flutes of an ordinary drill, and of none over its tables', function (float $drill, ?float $flute): void {
    expect(UsualFlutes::of(Length::mm($drill))?->inMm())->toBe($flute);
})->with([[0.4, 5.0], [0.48, 5.0], [0.5, 6.0], [9, 81.0], [9.5, 81.0], [9.6, 87.0], [16, 120.0], [16.5, 125.0], [20, 140.0], [32, null]]);

it('parts off no deeper than its blade reaches', function (): void {
    $plan = parted(60, []);
    expect(told($plan['missing']))->toContain('planning.lacks.blade_reach blade_mm=2 reach_mm=16 widths_ratio=8 into_mm=30 least_mm=3.8')
        ->and(objections($plan))->toContain('parting_too_deep: setup.finding.parting_too_deep into_mm=30 reach_mm=16');
    // A ring has only its wall to go through, a wider blade reaches, and so does one that the shop trusts further.
    $rings = ['thickness_mm' => 6, 'bore' => ['purpose' => 'plain', 'diameter_mm' => 12]];
    expect(parted(30, $rings)['missing'])->toBe([])
        ->and(parted(32, [])['missing'])->toBe([])
        ->and(parted(32.2, [])['ready'])->toBeFalse()
        ->and(parted(60, [], ['blade_mm' => 3.8])['missing'])->toBe([])
        ->and(parted(60, [], ['policy' => ['blade_reach_ratio' => 15]])['missing'])->toBe([]);
});

it('never parts off a piece that a centre holds', function (): void {
    $plan = parted(25, [], ['support' => 'tailstock']);
    expect(told($plan['missing']))->toContain('planning.lacks.parting_on_centre')
        ->and(objections($plan))->toContain('parting_supported_end: setup.finding.parting_supported_end')
        ->and(told(parted(25, [])['missing']))->not->toContain('parting_on_centre');
});

it('puts eye protection before everything that turns, and the speed in the state that the machine changes it in', function (
    array $machine,
    string $state,
): void {
    $plans = [
        hole(['purpose' => 'tapped', 'thread' => 'M8'], ['machine' => $machine, 'policy' => ['start_school' => 'spot']]),
        hole(['purpose' => 'reamed', 'diameter_mm' => 8], ['machine' => $machine]),
        ...($machine['kind'] === 'lathe' ? [
            parted(25, ['outside_mm' => 22, 'bore' => ['purpose' => 'reamed', 'diameter_mm' => 8]], ['machine' => $machine]),
        ] : []),
    ];
    foreach ($plans as $plan) {
        $set = null;
        foreach ($plan['operations'] as $step) {
            if (! isset($step['rpm'])) {
                continue;
            }
            expect($step['standing'])->toBe(['eyes', 'key_out', ...($machine['kind'] === 'lathe' ? [] : ['held']), 'standstill', 'brush']);
            $codes = array_column($step['cautions'], 'code');
            expect(in_array("planning.caution.set_speed_$state", $codes, true))->toBe($step['rpm'] !== $set, $step['kind'])
                ->and(count(preg_grep('/set_speed/', $codes) ?: []))->toBeLessThanOrEqual(1);
            $set = $step['rpm'];
        }
        expect($set)->not->toBeNull();
    }
})->with([
    'step pulleys' => [bench(), 'stopped_and_isolated'],
    'a variator' => [bench(['speeds_rpm' => null, 'min_rpm' => 60, 'max_rpm' => 2000, 'speed_change' => 'running']), 'running'],
    'a hand drill' => [bench(['kind' => 'hand_drill', 'speed_change' => 'any']), 'any'],
    'a lathe' => [lathe(), 'stopped_and_isolated'],
]);

it('drills a blind hole deeper than the reamer goes, so that it never meets the cone', function (string $reamer, float $lead): void {
    $plan = hole(
        ['purpose' => 'reamed', 'diameter_mm' => 8, 'through' => false, 'depth_mm' => 15, 'reamer' => $reamer],
        ['thickness_mm' => 40],
    );
    ['drill' => $drill, 'ream' => $ream] = operations($plan);
    expect($drill['depth_mm'])->toEqualWithDelta(15 + $lead + 1, 1e-9)
        ->and($ream['depth_mm'])->toEqual(15)
        ->and($ream['total_depth_mm'])->toEqualWithDelta(15 + $lead, 1e-9)
        ->and($drill['depth_mm'])->toBeGreaterThan($ream['total_depth_mm'])
        // A reading rounded to the scale leaves that room, too.
        ->and($drill['reading_mm'] + inside($plan))->toBeGreaterThanOrEqual($drill['total_depth_mm'] - 1e-9);
})->with([['machine', 1.5], ['hand', 8.0]]);

it('counts the scale from where the lips touch an open pilot', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 10, 'through' => false, 'depth_mm' => 20], [
        'thickness_mm' => 40, 'policy' => ['pilot_school' => 'stepped', 'max_step_ratio' => 2.5],
    ]);
    $drill = operations($plan)['drill'];
    $before = array_values(array_filter($plan['operations'], fn (array $step): bool => in_array($step['kind'], ['pilot', 'step'], true)));
    $in = end($before)['diameter_mm'] / 2 / tan(deg2rad(59));
    expect($drill['reading_mm'])->toEqual(floor($drill['total_depth_mm'] - $in))
        ->and(told($drill['needs']))->toContain('planning.needs.touch open_mm='.end($before)['diameter_mm'])
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5]))['drill']['needs'] ?? [])->toBe([]);
});

it('never comes out of the bottom, and leaves the least floor, whatever the scale and the school', function (
    string $purpose,
    array $hole,
): void {
    $ready = 0;
    foreach ([12, 16, 20, 25, 32] as $thickness) {
        foreach ([0.1, 0.5, 1.0, 25.4 / 32, 25.4 / 16] as $graduation) {
            foreach (['web', 'stepped', 'single'] as $school) {
                $plan = hole(['purpose' => $purpose, 'through' => false, ...$hole], [
                    'thickness_mm' => $thickness,
                    'machine' => bench(['depth_scale' => ['unit' => 'mm', 'graduation_mm' => $graduation]]),
                    'policy' => ['pilot_school' => $school],
                ]);
                if (! ($plan['ready'] ?? false)) {
                    continue;
                }
                $ready++;
                foreach ($plan['operations'] as $step) {
                    if (isset($step['reading_mm'])) {
                        $reached = max($step['total_depth_mm'], $step['reading_mm'] + ($step['kind'] === 'drill' ? inside($plan) : 0));
                        $floor = max(0.2 * $step['diameter_mm'], 1);
                        expect($thickness - $reached)
                            ->toBeGreaterThanOrEqual($floor - 1e-9, "{$step['kind']} in $thickness by $graduation");
                    }
                }
                expect(objections($plan))->toBe([]);
            }
        }
    }
    expect($ready)->toBeGreaterThan(20);
})->with([
    ['tapped', ['thread' => 'M8', 'depth_mm' => 8]], ['tapped', ['thread' => 'M5', 'depth_mm' => 6]],
    ['plain', ['diameter_mm' => 8, 'depth_mm' => 10]], ['reamed', ['diameter_mm' => 6, 'depth_mm' => 8, 'reamer' => 'machine']],
]);

it('refuses a hole that leaves less than the shop\'s floor, and says how much is left to leave', function (): void {
    $blind = ['purpose' => 'plain', 'diameter_mm' => 10, 'through' => false, 'depth_mm' => 15];
    // 15 and a point of 3 leave 2 of 20: just the floor. On a coarse scale the reading only goes back.
    expect(hole($blind, ['thickness_mm' => 20.1])['ready'])->toBeTrue()
        ->and(told(hole($blind, ['thickness_mm' => 19.9])['missing']))
        ->toContain('planning.lacks.floor total_mm=18 stock_mm=19.9 floor_mm=2')
        ->and(hole($blind, ['thickness_mm' => 19.9, 'policy' => ['blind_floor_ratio' => 0.1]])['ready'])->toBeTrue()
        ->and(told(hole($blind, ['thickness_mm' => 20.1, 'policy' => ['blind_floor_mm' => 3]])['missing']))->toContain('floor_mm=3');
});

it('drills no pilot that the depth would break', function (): void {
    $deep = static fn (float $size, float $thickness, array $with = []): array => hole(
        ['purpose' => 'plain', 'diameter_mm' => $size],
        ['thickness_mm' => $thickness, 'machine' => bench(['depth_scale' => ['unit' => 'mm', 'graduation_mm' => 1, 'travel_mm' => 200]]),
            ...$with],
    );
    // The web of a 12 drill is 2.4, and 24 is ten times that deep.
    $plan = $deep(12, 23);
    $pilot = operations($plan)['pilot'];
    expect($pilot['diameter_mm'])->toEqual(3)->and(told($pilot['why']))->toContain('planning.pilot.sturdier')
        ->and(told($pilot['why']))->toContain('planning.pilot.web')
        ->and(objections($plan))->toBe([]);
    // Where none is stout enough and still a pilot, it goes straight in, and says so.
    $none = $deep(9, 60);
    expect(array_column($none['operations'], 'kind'))->not->toContain('pilot')
        ->and(told($none['warnings']))->toContain('planning.warns.no_pilot_reaches')
        ->and(objections($none))->toBe([])
        ->and($none['ready'])->toBeTrue();
    // A pilot is never wider than it may be, nor longer than its flutes.
    foreach ([6.5, 8, 10, 12, 13] as $size) {
        foreach ([10, 20, 40, 60, 80] as $thickness) {
            foreach (array_filter($deep($size, $thickness)['operations'], fn (array $step): bool => $step['kind'] === 'pilot') as $step) {
                expect($step['depth_mm'] / $step['diameter_mm'])->toBeLessThanOrEqual(8 + 1e-9)
                    ->and($step['total_depth_mm'])->toBeLessThanOrEqual(UsualFlutes::of(Length::mm($step['diameter_mm']))?->inMm())
                    ->and($step['diameter_mm'])->toBeLessThanOrEqual(0.6 * $size + 1e-9);
            }
        }
    }
});

it('asks for the long series where the usual flutes do not reach', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 5], ['thickness_mm' => 60]);
    expect(told($plan['missing']))->toContain('planning.lacks.usual_flutes')->toContain('flutes_mm=52');
});

it('drills a support centre to its mouth, which carries', function (float $bar, string $unit): void {
    $scale = ['unit' => $unit, 'graduation_mm' => 1, 'travel_mm' => 80];
    $plan = parted(
        $bar,
        ['part_off' => false, 'support_centre' => true, 'thickness_mm' => 20],
        ['machine' => lathe(['depth_scale' => $scale])],
    );
    $centre = operations($plan)['centre'];
    $mouth = $centre['needs'][0]['terms'];
    $shape = shape_of($centre);
    foreach (['mouth_mm', 'least_mm', 'most_mm'] as $at) {
        expect(compute('centre_drill_verdict', [...$shape, 'mouth_mm' => $mouth[$at]])['verdict'])->toBeIn(
            $at === 'mouth_mm' ? ['good'] : ['good', 'shallow', 'full'],
        );
    }
    expect($centre)->not->toHaveKey('reading_mm');
    expect(str_starts_with($centre['tool']['terms']['size'], '#'))->toBe($unit === 'in');
})->with([4.0, 8.0, 14.0, 16.0, 22.0, 25.0, 40.0, 60.0])->with(['mm', 'in']);

/** @return array{pilot_diameter_mm: float, body_diameter_mm: float} of the centre drill that a step takes */
function shape_of(array $centre): array
{
    $drill = MillStep\Core\Reference\StandardCentreDrill::named($centre['tool']['terms']['size']);

    return ['pilot_diameter_mm' => $drill->shape->pilot->inMm(), 'body_diameter_mm' => $drill->shape->body->inMm()];
}

/** @return list<array{designation: string, diameter_mm: float}> by halves of a millimetre */
function crib_to(int $largest): array
{
    return array_map(
        static fn (int $i): array => ['designation' => (string) ($i / 2), 'diameter_mm' => $i / 2, 'flute_length_mm' => 140],
        range(2, 2 * $largest),
    );
}

it('says how far a tap goes: its lead before the full thread, and how much a taper tap leaves', function (): void {
    $through = operations(hole(['purpose' => 'tapped', 'thread' => 'M8'], ['thickness_mm' => 10]))['tap'];
    expect($through['depth_mm'])->toEqual(10)
        ->and($through['turns'])->toBe(13)
        ->and($through['total_depth_mm'])->toEqualWithDelta(10 + 5 * 1.25, 1e-9)
        ->and(told($through['needs']))->toContain('planning.needs.tap_to_depth full_mm=10');
    $blind = hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 12], ['thickness_mm' => 40]);
    $taps = array_values(array_filter($blind['operations'], fn (array $step): bool => $step['kind'] === 'tap'));
    expect(array_column($taps, 'total_depth_mm'))->each->toEqualWithDelta(12 + 2 * 1.25, 1e-9)
        ->and(array_column($taps, 'turns'))->toBe([12, 12, 12])
        ->and(array_column($taps, 'depth_mm'))->toEqual([2, 8.25, 12])
        ->and(told($taps[0]['needs']))->toContain('planning.needs.tap_not_full full_mm=2')
        ->and(told($taps[2]['needs']))->toContain('planning.needs.tap_to_depth full_mm=12')
        // The tip of none of them meets the bottom of the hole.
        ->and($taps[2]['total_depth_mm'])->toBeLessThan(operations($blind)['drill']['depth_mm']);
});

it('says of a tap whose lead is longer than the hole that it leaves no full thread yet', function (): void {
    $taps = array_values(array_filter(
        hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 8], ['thickness_mm' => 40])['operations'],
        fn (array $step): bool => $step['kind'] === 'tap',
    ));
    expect(told($taps[0]['needs']))->toContain('planning.needs.tap_none_full')
        ->and($taps[0]['depth_mm'])->toEqual(0)
        ->and(told($taps[1]['needs']))->toContain('planning.needs.tap_not_full');
});
