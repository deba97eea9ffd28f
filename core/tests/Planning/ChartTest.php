<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Planning\Chart\Chart;
use MillStep\Core\Planning\Chart\ChartKind;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Workshop\MaterialTable;

require_once __DIR__.'/helpers.php';

/** @return array<string, mixed> as it crosses the border */
function chart(string $kind, array $with = []): array
{
    $bench = Bench::fromFields(Fields::of([
        'material' => 'mild_steel', 'machine' => bench(), 'crib' => ['drills' => crib(0.1)], 'policy' => [], ...$with,
    ]));
    $materials = array_map(MaterialTable::shipped()->get(...), ['mild_steel', 'austenitic_stainless', 'grey_cast_iron',
        'aluminium_6000', 'brass_free_cutting', 'acrylic', 'softwood']);
    $chart = ChartKind::from($kind)->of($bench, $materials);
    expect($chart)->toBeInstanceOf(Chart::class);
    foreach ($chart->lines as $line) {
        expect($line->cells)->toHaveCount(count($chart->columns));
    }

    return json_decode(json_encode($chart, JSON_THROW_ON_ERROR), true);
}

/** @return list<string> codes of the notes */
function notes(array $chart): array
{
    return array_column($chart['notes'], 'code');
}

it('shows the speed that the operation chooses, and none where the machine is too fast', function (array $machine): void {
    $chart = chart('speeds', ['machine' => bench($machine), 'policy' => ['learner_cap_rpm' => 1500]]);
    $sizes = array_map(static fn (array $column): float => isset($column['heading']['terms']['size'])
        ? (float) $column['heading']['terms']['size'] : 0.0, array_slice($chart['columns'], 1));
    expect(max($sizes))->toBe(12.0)->and($sizes)->toHaveCount(8);
    $dashes = 0;
    foreach ($chart['lines'] as $line) {
        $material = MaterialTable::shipped()->get(str_replace('workshop.material.', '', $line['cells'][0]['code']));
        foreach ($sizes as $index => $size) {
            $said = compute('spindle_speed', [
                'cutting_speed_m_min' => $material->cuttingSpeedMMin, 'diameter_mm' => $size,
                'speeds_rpm' => $machine['speeds_rpm'] ?? bench()['speeds_rpm'], 'cap_rpm' => 1500,
            ]);
            $cell = $line['cells'][$index + 1];
            $cell === '—' ? $dashes++ : expect($cell)->toBe((string) $said['chosen_rpm']);
            expect($cell === '—')->toBe($said['chosen_rpm'] > 1.25 * $said['target_rpm'] || $said['chosen_rpm'] > 1500);
        }
    }
    expect(in_array('planning.chart.note.too_fast', notes($chart), true))->toBe($dashes > 0)
        ->and(notes($chart))->toContain('planning.chart.note.cap', 'planning.chart.note.change_stopped_and_isolated')
        ->and($chart['legend'])->toHaveCount(count($machine['speeds_rpm'] ?? bench()['speeds_rpm']));
})->with(['five speeds' => [[]], 'one that is too fast' => [['speeds_rpm' => [900, 1800]]]]);

it('names the slow school, and a machine that changes its speed while it runs', function (): void {
    $chart = chart('speeds', [
        'machine' => ['kind' => 'floor_drill_press', 'min_rpm' => 300, 'max_rpm' => 2000, 'speed_change' => 'running'],
        'policy' => ['speed_school' => 'shop', 'shop_speed_rpm' => 400],
    ]);
    expect(notes($chart))->toContain('planning.chart.note.shop_speed', 'planning.chart.note.change_running')
        ->and($chart['legend'])->toBe([])
        ->and(array_unique(array_merge(...array_map(static fn (array $line): array => array_slice($line['cells'], 1, 3), $chart['lines']))))
        ->toBe(['400']);
});

it('has inch sizes on an inch machine', function (): void {
    $chart = chart('speeds', ['machine' => lathe(['chuck_max_mm' => 13])]);
    expect(array_column(array_column(array_slice($chart['columns'], 1), 'heading'), 'terms'))
        ->toBe(array_map(static fn (string $size): array => ['size' => $size], ['1/16', '1/8', '3/16', '1/4', '3/8', '1/2']));
});

it('shows before a tap the very drill that a plan takes', function (): void {
    $crib = ['drills' => [...crib(0.1), ...crib(0.5, 'zero_rake')], 'taps' => [
        ['thread' => 'M8', 'type' => 'spiral_point'], ['thread' => 'M5', 'type' => 'spiral_point'], ['thread' => 'M8', 'type' => 'taper'],
    ]];
    $chart = chart('tap_drills', ['crib' => $crib]);
    expect(array_column(array_column($chart['lines'], 'cells'), 0))->toBe(['M5x0.8', 'M8x1.25']);
    $groups = ['steel' => 'mild_steel', 'stainless' => 'austenitic_stainless', 'copper_alloy' => 'brass_free_cutting'];
    foreach ($groups as $group => $material) {
        $column = array_search("planning.chart.group.$group", array_column(array_column($chart['columns'], 'heading'), 'code'), true);
        expect($column)->not->toBeFalse();
        foreach ($chart['lines'] as $line) {
            $plan = hole(['purpose' => 'tapped', 'thread' => $line['cells'][0]], ['crib' => $crib, 'material' => $material]);
            $drilled = operations($plan)['drill']['diameter_mm'] ?? null;
            $dubs = in_array('planning.warns.no_dubbed_drill', array_column($plan['warnings'], 'code'), true) ? ' *' : '';
            expect($line['cells'][$column])->toBe($drilled === null ? '—' : $drilled.$dubs, "$material {$line['cells'][0]}");
        }
    }
});

it('says where there are no taps, and where no drill does it', function (): void {
    $chart = chart('tap_drills', ['crib' => ['drills' => crib(0.5), 'taps' => []]]);
    expect(notes($chart))->toContain('planning.chart.note.no_taps')
        ->and(array_column(array_column($chart['lines'], 'cells'), 0))->toContain('M8x1.25', '1/4-20 UNC')
        ->and(json_encode($chart['lines']))->toContain('\u2014')
        ->and(array_filter(array_column($chart['lines'], 'strong')))->toBe([]);
});

it('lays sizes side by side, each diameter once, and marks those in the crib', function (): void {
    $chart = chart('sizes', ['crib' => ['drills' => [
        ...crib(0.5), ['designation' => '1/4', 'diameter_mm' => 6.35, 'edge' => 'normal'],
    ]]]);
    $mm = array_map(static fn (array $line): float => (float) $line['cells'][1], $chart['lines']);
    $sorted = $mm;
    sort($sorted);
    expect($mm)->toBe($sorted)->and(count(array_unique($mm)))->toBe(count($mm));
    $named = array_column(array_column($chart['lines'], 'cells'), 0, 0);
    expect($named)->toHaveKeys(['#7', 'F', 'E = 1/4', '3/8', '6.5'])->not->toHaveKey('6.8');
    $strong = array_column(array_map(static fn (array $line): array => [$line['cells'][0], $line['strong']], $chart['lines']), 1, 0);
    expect($strong['E = 1/4'])->toBeTrue()->and($strong['6.5'])->toBeTrue()->and($strong['#7'])->toBeFalse();
});

it('shows for each reamer the drill that a plan takes, or none, or the table', function (): void {
    $reamers = [['diameter_mm' => 10, 'method' => 'machine'], ['diameter_mm' => 8, 'method' => 'hand']];
    $chart = chart('reaming', ['crib' => ['drills' => crib(0.1), 'reamers' => $reamers]]);
    expect($chart['lines'][0]['cells'][2])->toBe('7.9')->and($chart['lines'][1]['cells'][2])->toBe('9.8')
        ->and($chart['lines'][1]['cells'][3]['terms']['size_mm'])->toEqualWithDelta(0.2, 1e-9);
    $coarse = chart('reaming', ['crib' => ['drills' => crib(0.5), 'reamers' => $reamers]]);
    expect($coarse['lines'][1]['cells'][2])->toBe('—')->and($coarse['lines'][1]['strong'])->toBeFalse();
    $table = chart('reaming', ['crib' => ['drills' => crib(0.5), 'reamers' => []]]);
    expect(notes($table))->toContain('planning.chart.note.no_reamers')->and(count($table['lines']))->toBeGreaterThan(3);
});

it('shows clearance in the fit that is in force, and the seats of the head table', function (): void {
    $lines = static fn (array $policy): array => array_column(
        array_column(chart('seats', ['policy' => $policy, 'crib' => ['drills' => crib(0.5)]])['lines'], 'cells'),
        null,
        0,
    );
    expect($lines([])['M8'][1])->toBe('9')->and($lines(['clearance_fit' => 'loose'])['M8'][1])->toBe('10')
        ->and($lines([])['M8'][2]['terms']['size_mm'])->toEqual(15)->and($lines([])['M8'][3]['terms']['size_mm'])->toEqual(8.6)
        ->and($lines([])['M16'][1] ?? '—')->toBe('—');
});

it('tells on the wall what a plan tells of the chip, with the school in force', function (): void {
    $chart = chart('chips', ['policy' => ['chip_school' => 'push_on']]);
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['policy' => ['chip_school' => 'push_on']]);
    expect(array_column(array_column($chart['lines'], 'cells'), 2))->toBe(array_column($plan['signs'], 'remedy'))
        ->and(notes($chart))->toContain('planning.chart.note.ribbon_push_on');
});
