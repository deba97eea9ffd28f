<?php

declare(strict_types=1);

use MillStep\Core\Reference\FastenerHead;
use MillStep\Core\Reference\ThreadTable;

require_once __DIR__.'/helpers.php';

/** Seats for screw heads over their clearance holes. */

/** @return array<string, mixed> */
function seated(array $hole, array $with = []): array
{
    return hole($hole, ['thickness_mm' => 20, 'lever_mm' => 120, ...$with]);
}

it('drills the clearance hole first and seats the head over it', function (): void {
    $plan = seated(['purpose' => 'countersunk', 'fastener' => 'M6']);
    ['drill' => $drill, 'countersink' => $sink] = operations($plan);
    $kinds = array_column($plan['operations'], 'kind');
    expect(array_search('countersink', $kinds, true))->toBeGreaterThan(array_search('drill', $kinds, true))
        ->and($drill['diameter_mm'])->toEqual(6.6)
        // ISO 2009: 11.3 wide at most, 90 degrees.
        ->and($sink['diameter_mm'])->toEqual(11.3)
        ->and($sink['total_depth_mm'])->toEqualWithDelta((11.3 - 6.6) / 2, 1e-9)
        ->and($sink['rpm'])->toEqual(280)
        ->and(told($sink['needs']))->toContain('planning.needs.try_flat_head seat_mm=11.3')
        ->and($plan['missing'])->toBe([])
        ->and(objections($plan))->toBe([]);
    expect(operations(seated(['purpose' => 'countersunk', 'fastener' => 'M6', 'head' => 'flat_socket']))['countersink']['diameter_mm'])
        ->toEqual(13.44);
});

it('cuts an inch head by its 82 degrees', function (): void {
    $sink = operations(seated(
        ['purpose' => 'countersunk', 'fastener' => '1/4-20'],
        ['crib' => ['drills' => array_map(
            static fn (array $drill): array => [...$drill],
            MillStep\Core\Workshop\DrillSeries::Letter->drills(),
        )], 'policy' => ['pilot_school' => 'single']],
    ))['countersink'];
    $drilled = array_column($sink['figures'], null, 'key')['total_depth_mm']['terms']['d_mm'];
    expect($sink['diameter_mm'])->toEqual(12.878)
        ->and($sink['total_depth_mm'])->toEqualWithDelta((12.878 - $drilled) / 2 / tan(deg2rad(41)), 1e-9)
        ->and(told($sink['tool']))->toContain('angle_deg=82');
});

it('counterbores for a cap screw to the depth of its head, at its own slow speed', function (): void {
    $plan = seated(['purpose' => 'counterbored', 'fastener' => 'M8']);
    ['drill' => $drill, 'counterbore' => $bore] = operations($plan);
    expect($bore)->toMatchArray(['diameter_mm' => 15.0, 'total_depth_mm' => 8.6, 'rpm' => 280.0])
        ->and($drill['diameter_mm'])->toEqual(9)
        ->and(told($bore['needs']))->toContain('planning.needs.counterbore_pilot')->toContain('pilot_mm=9')
        ->and(objections($plan))->toBe([])
        // It is held against what the seat takes away around the 9 mm hole: as a drill of 12 would, at the seat's feed.
        ->and(array_column(operations($plan)['hold']['figures'], null, 'key')['demand_nm']['terms'])
        ->toMatchArray(['D_mm' => 15, 'd_mm' => 9])
        ->and($plan['holding']['demand_nm'])->toEqualWithDelta(3 * 2800 * 0.16 * 12 ** 2 / 8000, 1e-9);
    $setup = array_values(array_filter($plan['setups'], fn (array $setup): bool => $setup['tool'] === 'counterbore'))[0];
    expect(compute('setup_review', [...$setup, 'rpm' => 850])['findings'])->not->toBe([]);
});

it('keeps something under a head to pull on', function (string $purpose, float $thickness, bool $ready): void {
    $plan = seated(['purpose' => $purpose, 'fastener' => 'M8'], ['thickness_mm' => $thickness]);
    expect(str_contains(told($plan['missing']), 'planning.lacks.under_head'))->toBe(! $ready);
})->with([['counterbored', 12.6, true], ['counterbored', 12.5, false], ['countersunk', 7.4, true], ['countersunk', 7.3, false]]);

it('knows the heads of every usual screw, and says which it does not', function (): void {
    foreach (['M3', 'M4', 'M5', 'M6', 'M8', 'M10'] as $size) {
        $thread = ThreadTable::shipped()->get($size);
        foreach ([...FastenerHead::FLAT['metric'], FastenerHead::CAP] as $head) {
            $found = FastenerHead::of($head, $thread);
            expect($found?->seat->isAtLeast($found->diameter))->toBeTrue("$head $size");
        }
    }
    foreach (['#8-32', '#10-32', '1/4-20', '3/8-16'] as $size) {
        expect(FastenerHead::of('flat_82', ThreadTable::shipped()->get($size))?->angleDeg)->toBe(82.0, $size)
            ->and(FastenerHead::of('cap_screw', ThreadTable::shipped()->get($size))?->angleDeg)->toBeNull($size);
    }
    $none = seated(['purpose' => 'countersunk', 'fastener' => 'M2']);
    expect($none['error'])->toMatchArray(['code' => 'invalid_input', 'field' => 'hole']);
});
