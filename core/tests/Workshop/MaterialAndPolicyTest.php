<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Policy\PolicySettings;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;

require_once __DIR__.'/../Planning/helpers.php';

const OWN_ROW = [
    'key' => 'mast_alloy', 'name' => 'Mast alloy', 'group' => 'aluminium', 'cutting_speed_m_min' => 45,
    'cutting_force_n_mm2' => 1100, 'point_angle_deg' => 118,
    'chip_form' => 'short', 'lubricant' => 'light oil', 'lubricant_to_avoid' => '', 'grabs' => false, 'edge' => 'normal',
];

it('writes every row so that it reads back the same', function (): void {
    foreach (MaterialTable::shipped()->all() as $material) {
        $again = Material::fromFields(Fields::of($material->toFields()));
        expect($again->toFields())->toBe($material->toFields())->and($again->ownRow)->toBeTrue()->and($material->ownRow)->toBeFalse();
    }
});

it('plans by the shop\'s own row as by one of the table', function (): void {
    $table = MaterialTable::shipped()->get('aluminium_6000')->toFields();
    $by = static fn (mixed $material): array => hole(['purpose' => 'tapped', 'thread' => 'M6'], ['material' => $material]);
    $named = $by('aluminium_6000');
    $own = $by([...$table, 'key' => 'aluminium_6000']);
    expect(array_column($own['operations'], 'rpm'))
        ->toBe(array_column($named['operations'], 'rpm'))
        ->and($own['time_s'])
        ->toBe($named['time_s'])
        ->and($own['ready'])
        ->toBe($named['ready']);
    $slower = $by([...$table, 'cutting_speed_m_min' => 20]);
    expect(operations($slower)['drill']['rpm'])->toBeLessThan(operations($named)['drill']['rpm']);
});

it('refuses a row that cannot be planned with, and says which figure', function (array $with, string $field): void {
    expect(fn () => Material::fromFields(Fields::of([...OWN_ROW, ...$with])))->toThrow(function (InvalidInput $fault) use ($field): void {
        expect($fault->field)->toBe($field);
    });
})->with([
    [['group' => 'cheese'], 'group'], [['cutting_speed_m_min' => 0], 'cutting_speed_m_min'],
    [['cutting_speed_m_min' => 1001], 'cutting_speed_m_min'], [['cutting_force_n_mm2' => -1], 'cutting_force_n_mm2'],
    [['point_angle_deg' => 180], 'point_angle_deg'], [['point_angle_deg' => 0], 'point_angle_deg'],
    [['chip_form' => 'cubes'], 'chip_form'], [['grabs' => 'a bit'], 'grabs'], [['edge' => 'serrated'], 'edge'],
    [['name' => 7], 'name'], [['key' => ''], 'key'], [['name' => '  '], 'name'],
]);

it('knows its schools, and nothing that is not one', function (): void {
    foreach (PolicySettings::all() as $key => $setting) {
        if ($setting['kind'] !== 'choice') {
            continue;
        }
        foreach ($setting['choices'] ?? [] as $choice) {
            expect(ShopPolicy::faults(Fields::of([$key => $choice])))->toBe([], "$key $choice");
        }
        expect(ShopPolicy::faults(Fields::of([$key => 'another'])))->toHaveKey($key)
            ->and(ShopPolicy::faults(Fields::of([$key => 3])))->toHaveKey($key);
    }
});

it('takes a number to its limits, and not beyond', function (): void {
    $checked = 0;
    foreach (PolicySettings::all() as $key => $setting) {
        if (! isset($setting['least'], $setting['most'])) {
            continue;
        }
        $whole = in_array($setting['kind'], ['count', 'minutes', 'rpm'], true);
        expect(ShopPolicy::faults(Fields::of([$key => $setting['most']])))->toBe([], "$key at most")
            ->and(ShopPolicy::faults(Fields::of([$key => $setting['most'] + 1])))->toHaveKey($key)
            ->and(ShopPolicy::faults(Fields::of([$key => $setting['least'] - ($whole ? 1 : 0.001)])))->toHaveKey($key)
            ->and(ShopPolicy::faults(Fields::of([$key => 'plenty'])))->toHaveKey($key);
        $checked++;
    }
    expect($checked)->toBeGreaterThan(15);
});

it('stands at the careful value where nothing is said', function (): void {
    $silent = ShopPolicy::fromFields(Fields::of([]));
    $said = ShopPolicy::fromFields(
        Fields::of(
            array_filter(
                array_map(static fn (array $setting): mixed => $setting['default'], PolicySettings::all()),
                static fn (mixed $value): bool => $value !== null,
            ),
        ),
    );
    expect($said)->toEqual($silent);
});

it('names every fault at once, an unknown setting among them', function (): void {
    $faults = ShopPolicy::faults(Fields::of(['pilot_school' => 'guess', 'web_ratio' => 9, 'colour' => 'blue', 'grab_factor' => 2]));
    expect(array_keys($faults))->toBe(['pilot_school', 'web_ratio', 'colour'])->and($faults['colour']->code)->toBe('policy.unknown');
});

it('changes the figure that it says it changes', function (string $key, mixed $value, Closure $figure): void {
    $with = static fn (array $policy): array => hole(['purpose' => 'clearance', 'fastener' => 'M8'], ['policy' => $policy]);
    expect($figure($with([$key => $value])))->not->toEqual($figure($with([])));
})->with([
    'pilot' => ['pilot_school', 'stepped', fn (array $plan): array => array_column($plan['operations'], 'diameter_mm')],
    'web' => ['web_ratio', 0.3, fn (array $plan): mixed => operations($plan)['pilot']['diameter_mm']],
    'threshold' => ['pilot_threshold_mm', 12, fn (array $plan): bool => isset(operations($plan)['pilot'])],
    'clearance' => ['clearance_fit', 'loose', fn (array $plan): mixed => operations($plan)['drill']['diameter_mm']],
    'breakthrough' => ['breakthrough_mm', 3, fn (array $plan): mixed => operations($plan)['drill']['depth_mm']],
    'cap' => ['learner_cap_rpm', 400, fn (array $plan): mixed => operations($plan)['drill']['rpm']],
    'grab' => ['grab_factor', 5, fn (array $plan): mixed => $plan['holding']['demand_nm']],
    'start' => ['start_school', 'spot', fn (array $plan): bool => isset(operations($plan)['centre'])],
    'marking' => ['marking_school', 'bare', fn (array $plan): array => operations($plan)['mark_out']['why']],
    'punching' => ['punching_school', 'prick_and_check', fn (array $plan): array => operations($plan)['punch']['tool']],
    'locating' => ['locating_school', 'pointer', fn (array $plan): array => operations($plan)['locate']['tool']],
]);
