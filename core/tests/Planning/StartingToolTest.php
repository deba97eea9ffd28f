<?php

declare(strict_types=1);

use MillStep\Core\Reference\StandardCentreDrill;

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> the operation that starts the first drill */
function started(float $final, array $centres, array $with = []): array
{
    $crib = ['drills' => crib(0.1), 'centre_drills' => array_map(fn (string $size): array => ['size' => $size], $centres)];

    return operations(
        hole(
            ['purpose' => 'plain', 'diameter_mm' => $final],
            ['machine' => lathe(), 'thickness_mm' => 10, 'work_diameter_mm' => 30, 'crib' => $crib, ...$with],
        ),
    )['centre'];
}

it('starts a drill with a centre drill whose own pilot is no wider', function (float $final, string $school): void {
    foreach ([['machine' => lathe(), 'work_diameter_mm' => 30], ['machine' => bench()]] as $on) {
        $steps = hole(
            ['purpose' => 'plain', 'diameter_mm' => $final],
            [...$on, 'thickness_mm' => 30, 'policy' => ['start_school' => 'spot', 'pilot_school' => $school]],
        )['operations'];
        $at = array_search('centre', array_column($steps, 'kind'), true);
        $pilot = StandardCentreDrill::named($steps[$at]['tool']['terms']['size'])->shape->pilot->inMm();
        expect($pilot)->toBeLessThanOrEqual($steps[$at + 1]['diameter_mm'])->toBeGreaterThan($steps[$at + 1]['diameter_mm'] / 4.2);
    }
})->with([1.5, 2.0, 3.3, 5.0, 6.6, 8.5, 10.0, 13.0])->with(['web', 'stepped', 'single']);

it('takes the widest that the crib has and the drill allows', function (float $final, array $centres, string $tool): void {
    expect(told(started($final, $centres, ['policy' => ['pilot_school' => 'single']])['tool']))->toBe($tool);
})->with([
    'at the first width that size 2.5 is meant for' => [4.7, ['1.0', '2.5', '4.0'], 'planning.tool.centre_drill size=2.5'],
    'just under it' => [4.6, ['1.0', '2.5', '4.0'], 'planning.tool.centre_drill size=1.0'],
    'the order of the crib does not matter' => [10.0, ['4.0', '3.15', '1.0'], 'planning.tool.centre_drill size=4.0'],
    'all are too wide' => [4.0, ['3.15', '4.0'], 'planning.tool.spotting_drill'],
    'none in the crib' => [10.0, [], 'planning.tool.spotting_drill'],
]);

it('keeps to what suits thin work', function (): void {
    expect(
        started(6.0, ['1.0', '1.6', '2.5'], ['work_diameter_mm' => 8, 'policy' => ['pilot_school' => 'single']])['tool']['terms'],
    )->toBe(['size' => '1.6']);
});

it('says why a spotting drill stands in, and turns it at the speed for its own width', function (): void {
    $start = started(4.0, ['4.0'], ['policy' => ['pilot_school' => 'single']]);
    expect(told($start['why']))->toContain('planning.why.no_centre_drill_suits drill_mm=4')->and($start['diameter_mm'])->toEqual(4);
});
