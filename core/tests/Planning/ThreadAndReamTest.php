<?php

declare(strict_types=1);

use MillStep\Core\Reference\ThreadTable;

/** @return list<array{designation: string, diameter_mm: float}> */
function tenths(float $from = 1, float $to = 13): array
{
    return array_map(
        static fn (int $i): array => ['designation' => (string) ($i / 10), 'diameter_mm' => $i / 10],
        range((int) ($from * 10), (int) ($to * 10)),
    );
}

it('finds a thread by every name that it is called', function (string $said, float $major, float $pitch): void {
    $thread = ThreadTable::shipped()->get($said);
    expect($thread->major->inMm())->toEqualWithDelta($major, 1e-6)->and($thread->pitch->inMm())->toEqualWithDelta($pitch, 1e-6);
})->with([
    ['M8', 8, 1.25], ['m8x1.25', 8, 1.25], ['M8 × 1', 8, 1.0], ['M10x1.25', 10, 1.25],
    ['1/4-20', 6.35, 1.27], ['1/4-20 UNC', 6.35, 1.27], ['1/4-28', 6.35, 0.907143], ['#8-32', 4.1656, 0.79375],
    ['#10-32 unf', 4.826, 0.79375],
]);

it('refuses a thread that is none', function (string $said): void {
    expect(fn () => ThreadTable::shipped()->get($said))->toThrow(MillStep\Core\Border\InvalidInput::class, 'planning.thread_');
})->with(['M8x9', 'M', '', '1/4', 'seven', "M8'; --"]);

it('leaves less thread the larger the hole', function (string $form): void {
    $before = INF;
    foreach (draws(40, 5.0, 7.9) as $drill) {
        $percents[(string) $drill] = compute(
            'thread_percent',
            ['major_mm' => 8, 'pitch_mm' => 1.25, 'drill_mm' => $drill, 'form' => $form],
        )['percent'];
    }
    ksort($percents, SORT_NUMERIC);
    foreach ($percents as $percent) {
        expect($percent)->toBeLessThan($before);
        $before = $percent;
    }
})->with(['cut', 'form']);

it('chooses the tap drill nearest to the target, and lists the others nearest first', function (): void {
    foreach (['M4', 'M6', 'M8', 'M10', '1/4-20', '3/8-16'] as $said) {
        $thread = ThreadTable::shipped()->get($said);
        $answer = compute(
            'tap_drill',
            [
                'major_mm' => $thread->major->inMm(), 'pitch_mm' => $thread->pitch->inMm(), 'form' => 'cut',
                'percent_target' => 75, 'percent_min' => 55, 'percent_max' => 85, 'drills' => tenths(),
            ],
        );
        $misses = array_map(
            static fn (array $drill): float => abs($drill['percent'] - 75),
            [$answer['chosen'], ...$answer['alternatives']],
        );
        $sorted = $misses;
        sort($sorted);
        expect($misses)->toEqual($sorted)->and($answer['ideal_mm'])->toEqualWithDelta($answer['chosen']['diameter_mm'], 0.06);
        foreach ([$answer['chosen'], ...$answer['alternatives']] as $drill) {
            expect($drill['percent'])->toBeGreaterThanOrEqual(55)->toBeLessThanOrEqual(85);
        }
    }
});

it('takes the larger of two tap drills that are equally far off', function (): void {
    // 50 and 100 % lie equally far from 75: the larger hole is the safer thread.
    $deep = 1.299038;
    $answer = compute('tap_drill', ['major_mm' => 10, 'pitch_mm' => 1, 'form' => 'cut', 'percent_target' => 75, 'percent_min' => 40,
        'percent_max' => 110, 'drills' => [
            ['designation' => 'tight', 'diameter_mm' => 10 - $deep], ['designation' => 'loose', 'diameter_mm' => 10 - 0.5 * $deep],
        ]]);
    expect($answer['chosen']['designation'])->toBe('loose');
});

it('drills a blind thread deeper for a longer lead, and says when it comes out', function (): void {
    $depth = static fn (float $lead, float $thickness = 50): array => compute(
        'blind_tap_depth',
        [
            'thread_depth_mm' => 12, 'pitch_mm' => 1.25, 'lead_threads' => $lead, 'drill_diameter_mm' => 6.8,
            'point_angle_deg' => 118, 'thickness_mm' => $thickness,
        ],
    );
    expect($depth(2)['full_diameter_depth_mm'])->toEqual(15.75)->and($depth(8)['full_diameter_depth_mm'])->toEqual(23.25);
    $total = $depth(2)['total_depth_mm'];
    expect($depth(2, $total)['breaks_through'])->toBeTrue()
        ->and($depth(2, $total + 0.0006)['breaks_through'])->toBeFalse()
        ->and($depth(2, $total - 1)['remaining_mm'])->toEqualWithDelta(-1, 1e-9);
    expect(
        compute(
            'blind_tap_depth',
            ['thread_depth_mm' => 12, 'pitch_mm' => 1.25, 'lead_threads' => 2, 'drill_diameter_mm' => 6.8, 'point_angle_deg' => 118],
        ),
    )->toHaveCount(2);
});

it('sends the chip where there is room for it', function (array $case, array $sequence, bool $reverse): void {
    expect(
        compute('tap_choice', ['tapped_depth_mm' => 10, 'major_mm' => 6, ...$case]),
    )->toMatchArray(['sequence' => $sequence, 'reverse_to_break_chip' => $reverse]);
})->with([
    [['through' => true, 'drive' => 'power', 'material_group' => 'steel'], ['spiral_point'], false],
    [['through' => true, 'drive' => 'hand', 'material_group' => 'cast_iron'], ['spiral_point'], false],
    [['through' => false, 'drive' => 'power', 'material_group' => 'cast_iron'], ['spiral_flute'], false],
    [['through' => false, 'drive' => 'hand', 'material_group' => 'copper_alloy'], ['spiral_flute'], false],
    [['through' => false, 'drive' => 'hand', 'material_group' => 'cast_iron'], ['taper', 'second', 'bottoming'], false],
    [['through' => false, 'drive' => 'hand', 'material_group' => 'steel'], ['taper', 'second', 'bottoming'], true],
    [['through' => false, 'drive' => 'hand', 'material_group' => 'unobtainium'], ['taper', 'second', 'bottoming'], true],
]);

/** @return array<string, mixed> */
function ream(array $with): array
{
    return compute('ream_plan', ['final_mm' => 8, 'method' => 'machine', 'school' => 'table', 'drills' => tenths(), 'table' => [
        [
            'diameter_min_mm' => 5, 'diameter_max_mm' => 10, 'machine_allowance_min_mm' => 0.15,
            'machine_allowance_max_mm' => 0.25, 'hand_allowance_min_mm' => 0.05, 'hand_allowance_max_mm' => 0.12,
        ],
    ], ...$with]);
}

it('leaves what the reamer wants, by each school', function (array $with, float $drill, string $verdict): void {
    expect(ream($with))
        ->toMatchArray(['verdict' => $verdict])
        ->and(ream($with)['pre_drill']['diameter_mm'])
        ->toEqualWithDelta($drill, 1e-9);
})->with([
    'table, by machine' => [[], 7.8, 'good'],
    'table, by hand' => [['method' => 'hand'], 7.9, 'good'],
    'next 64th, not in the set: the nearest below' => [['school' => 'next_64th'], 7.9, 'rubs'],
    'next 64th, in the set' => [
        ['school' => 'next_64th', 'drills' => [...tenths(), ['designation' => 'x', 'diameter_mm' => 8 - 25.4 / 64]]],
        8 - 25.4 / 64,
        'heavy',
    ],
    'fixed step' => [['school' => 'fixed_step', 'step_mm' => 0.4], 7.6, 'heavy'],
    'fixed step too wide' => [['school' => 'fixed_step', 'step_mm' => 0.8], 7.2, 'breaks'],
    'fixed step never at the size itself' => [['school' => 'fixed_step', 'step_mm' => 0.01], 7.9, 'rubs'],
    'the edge of a band belongs to it' => [['final_mm' => 10], 9.8, 'good'],
]);

it('has nothing to ream from where the set or the table ends', function (array $with, string $code): void {
    expect(ream($with)['error']['code'])->toBe($code);
})->with([
    'no row' => [['final_mm' => 5], 'no_candidate'],
    'no drill below' => [['drills' => [['designation' => '8', 'diameter_mm' => 8]]], 'no_candidate'],
    'none in the window' => [['drills' => [['designation' => '7.5', 'diameter_mm' => 7.5]]], 'no_candidate'],
    'a step is wanted' => [['school' => 'fixed_step'], 'invalid_input'],
    'no such school' => [['school' => 'by feel'], 'invalid_input'],
]);

it('passes a fastener by the table or by a step', function (): void {
    $row = ['clearance_close_mm' => 8.4, 'clearance_normal_mm' => 9, 'clearance_loose_mm' => 10];
    $drill = static fn (array $with): array => compute(
        'clearance_hole',
        ['major_mm' => 8, 'rule' => 'table', 'fit' => 'normal', 'row' => $row, 'drills' => tenths(), ...$with],
    );
    expect($drill([])['drill']['diameter_mm'])->toEqual(9)
        ->and($drill(['fit' => 'close'])['drill']['diameter_mm'])->toEqual(8.4)
        ->and($drill(['rule' => 'plus', 'plus_mm' => 0.55])['drill']['diameter_mm'])->toEqual(8.6)
        ->and($drill(['rule' => 'plus', 'plus_mm' => 9])['error']['code'])->toBe('no_candidate')
        ->and($drill(['row' => ['clearance_normal_mm' => 7]])['error'])->toMatchArray(['code' => 'invalid_input', 'field' => 'row']);
});
