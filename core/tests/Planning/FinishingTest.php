<?php

declare(strict_types=1);

use MillStep\Core\Reference\TapType;

require_once __DIR__.'/helpers.php';

/** @return list<array{thread: string, type: string}> */
function taps(string $thread, string ...$types): array
{
    return array_map(fn (string $type): array => ['thread' => $thread, 'type' => $type], $types);
}

/** @return list<string> the taps of a plan, in working order */
function tapped(array $plan): array
{
    return array_values(
        array_map(
            fn (array $step): string => $step['tool']['code'],
            array_filter($plan['operations'], fn (array $step): bool => $step['kind'] === 'tap'),
        ),
    );
}

it('takes the taps that suit, or the nearest that do it soundly', function (array $with, array $at, array $expected, bool $instead): void {
    $plan = hole(
        ['purpose' => 'tapped', 'thread' => 'M8', ...$with],
        ['thickness_mm' => 30, 'crib' => ['drills' => crib(0.1), 'taps' => taps('M8', ...$at)]],
    );
    expect(tapped($plan))->toBe(array_map(fn (string $type): string => "planning.tool.tap.$type", $expected))->and($plan['missing'])
        ->toBe([])
        ->and(array_filter($plan['warnings'], fn (array $words): bool => str_starts_with($words['code'], 'planning.warns.other_taps')))
        ->toHaveCount($instead ? 1 : 0);
})->with([
    'through, as wanted' => [['through' => true], ['spiral_point', 'taper', 'second'], ['spiral_point'], false],
    'through, with a taper' => [['through' => true], ['taper', 'bottoming'], ['taper'], true],
    'through, with a spiral flute at last' => [['through' => true], ['spiral_flute'], ['spiral_flute'], true],
    'blind, as wanted' => [
        ['through' => false, 'depth_mm' => 12],
        ['spiral_flute', 'taper', 'second', 'bottoming'],
        ['taper', 'second', 'bottoming'],
        false,
    ],
    'blind, with a spiral flute' => [
        ['through' => false, 'depth_mm' => 12],
        ['spiral_flute', 'taper', 'bottoming'],
        ['spiral_flute'],
        true,
    ],
    'blind, with two of them' => [['through' => false, 'depth_mm' => 12], ['taper', 'bottoming'], ['taper', 'bottoming'], true],
]);

it('says that there are no taps for it, and what would do', function (array $with, array $at): void {
    $plan = hole(
        ['purpose' => 'tapped', 'thread' => 'M8', ...$with],
        [
            'thickness_mm' => 30,
            'crib' => [
                'drills' => crib(0.1),
                'taps' => [...taps('M8', ...$at), ...taps('M6', 'taper', 'second', 'bottoming', 'spiral_point', 'spiral_flute')],
            ],
        ],
    );
    expect($plan['ready'])
        ->toBeFalse()
        ->and(tapped($plan))
        ->toBe([])
        ->and(told($plan['missing']))
        ->toContain('planning.lacks.taps thread=M8x1.25');
})->with([
    'none at all' => [['through' => true], []],
    'through, but only a bottoming tap, which does not start' => [['through' => true], ['bottoming']],
    'blind, but only a spiral point, which pushes the chips ahead' => [['through' => false, 'depth_mm' => 12], ['spiral_point']],
]);

it('drills a blind hole deep enough for the lead of the very tap that finishes it', function (): void {
    foreach ([['spiral_flute'], ['taper', 'second', 'bottoming'], ['taper', 'second']] as $types) {
        foreach ([['M6', 1.0], ['M8', 1.25], ['M10', 1.5]] as [$thread, $pitch]) {
            foreach ([8, 12, 20] as $deep) {
                $plan = hole(
                    ['purpose' => 'tapped', 'thread' => $thread, 'through' => false, 'depth_mm' => $deep],
                    ['thickness_mm' => 60, 'crib' => ['drills' => crib(0.1), 'taps' => taps($thread, ...$types)]],
                );
                $lead = TapType::of($types[count($types) - 1])->leadThreads;
                expect(operations($plan)['drill']['depth_mm'])->toEqualWithDelta(
                    $deep + ($lead + 1) * $pitch,
                    1e-9,
                    "$thread $deep ".implode(' ', $types),
                )
                    // The reading gives the tap its room, too.
                    ->and(operations($plan)['drill']['reading_mm'])
                    ->toBeGreaterThanOrEqual(operations($plan)['drill']['total_depth_mm'] - inside($plan) - 1e-9);
            }
        }
    }
});

it('turns a straight-fluted tap back as the shop has it, and a spiral one not at all', function (string $school, string $words): void {
    $with = ['thickness_mm' => 30, 'policy' => ['reversing_school' => $school]];
    $straight = hole(
        ['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 10],
        [...$with, 'crib' => ['drills' => crib(0.1), 'taps' => taps('M8', 'taper', 'second', 'bottoming')]],
    );
    $spiral = hole(
        ['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => 10],
        [...$with, 'crib' => ['drills' => crib(0.1), 'taps' => taps('M8', 'spiral_flute')]],
    );
    expect(told(operations($straight)['tap']['needs']))->toContain($words)
        ->and(told(operations($spiral)['tap']['needs']))->not->toContain($words);
})->with([['every_turn', 'planning.reversing.every_turn'], ['when_it_stiffens', 'planning.reversing.when_it_stiffens']]);

it('never turns a tap under power, nor a reamer backwards', function (): void {
    $tap = operations(hole(['purpose' => 'tapped', 'thread' => 'M6']))['tap'];
    $ream = operations(hole(['purpose' => 'reamed', 'diameter_mm' => 8]))['ream'];
    expect($tap)->not
        ->toHaveKey('rpm')
        ->and(told($tap['dangers']))
        ->toContain('planning.caution.isolated_tap')
        ->and(told($ream['cautions']))
        ->toContain('planning.caution.reamer_forward');
});

it('leaves a reamer the stock it needs, by table or by the shop\'s step', function (array $policy, float $least, float $most): void {
    foreach ([6, 8, 10, 12] as $size) {
        $plan = hole(['purpose' => 'reamed', 'diameter_mm' => $size], ['policy' => $policy]);
        $left = $size - operations($plan)['drill']['diameter_mm'];
        expect($left)
            ->toBeGreaterThanOrEqual($least - 1e-9, "$size")
            ->toBeLessThanOrEqual($most + 1e-9, "$size")
            ->and(objections($plan))
            ->toBe([]);
    }
})->with(['by table' => [[], 0.1, 0.4], 'by a step of 0.2' => [['ream_school' => 'fixed_step', 'ream_step_mm' => 0.2], 0.2, 0.2]]);

it('cuts a lead for the tap a tenth wider than the thread', function (): void {
    foreach (['M4' => 4, 'M6' => 6, 'M8' => 8, '1/4-20' => 6.35] as $thread => $major) {
        expect(
            operations(hole(['purpose' => 'tapped', 'thread' => (string) $thread]))['countersink']['diameter_mm'],
        )->toEqualWithDelta(1.1 * $major, 1e-9);
    }
});

it('deburrs and measures last, whatever came before', function (array $hole): void {
    $kinds = array_column(hole($hole)['operations'], 'kind');
    expect(array_slice($kinds, -2))->toBe(['deburr', 'measure']);
})->with([
    [['purpose' => 'plain', 'diameter_mm' => 5]],
    [['purpose' => 'tapped', 'thread' => 'M6']],
    [['purpose' => 'reamed', 'diameter_mm' => 8]],
    [['purpose' => 'clearance', 'fastener' => 'M6']],
]);

it('holds with the first usual way that holds, or as it is told, and says what would do instead', function (
    string $holding,
    bool $holds,
): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 10], ['holding' => $holding]);
    expect($plan['holding']['method'])->toBe($holding);
    expect($plan['ready'])->toBe($holds);
    if (! $holds) {
        expect(told($plan['missing']))
            ->toContain('instead=planning.instead.holding holding=workshop.holding.strap_clamp_pair lever_mm=15')
            ->and(objections($plan))->not
            ->toBe([]);
    }
})->with([
    ['vice_bolted', true], ['strap_clamp_pair', true], ['vice_loose', false], ['vice_against_stop', false],
    ['hand_bare', false], ['hand_vice', false], ['bar_clamp_single', false],
]);

it('asks for more hold the wider and the harder, and knows no holding that it could not name', function (): void {
    $demand = fn (float $d, string $material): float => hole(
        ['purpose' => 'plain', 'diameter_mm' => $d],
        ['material' => $material],
    )['holding']['demand_nm'];
    foreach (['mild_steel', 'aluminium_6000', 'nylon'] as $material) {
        $last = 0.0;
        foreach ([2, 4, 6, 8, 10, 13] as $d) {
            expect($demand($d, $material))->toBeGreaterThan($last);
            $last = $demand($d, $material);
        }
    }
    expect($demand(8, 'mild_steel'))
        ->toBeGreaterThan($demand(8, 'aluminium_6000'))
        ->and($demand(8, 'aluminium_6000'))
        ->toBeGreaterThan($demand(8, 'nylon'))
        ->and(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['holding' => 'chewing_gum'])['error']['field'])->toBe('holding');
});

it('countersinks by hand where even the slowest speed is too fast for it', function (array $speeds, bool $byHand): void {
    $plan = hole(['purpose' => 'tapped', 'thread' => 'M12'], ['thickness_mm' => 15, 'machine' => bench(['speeds_rpm' => $speeds])]);
    $lead = operations($plan)['countersink'];
    // 13.2 mm at 24 m/min and a countersink's third of it: about 191 rpm; a quarter more is borne.
    expect($plan['ready'])
        ->toBeTrue()
        ->and($lead['diameter_mm'])
        ->toEqualWithDelta(13.2, 1e-9)
        ->and($lead['tool']['code'])
        ->toBe($byHand ? 'planning.tool.hand_countersink' : 'planning.tool.countersink')
        ->and($lead['rpm'] ?? null)
        ->toBe($byHand ? null : $speeds[0])
        ->and(told($lead['dangers'] ?? []))
        ->toBe($byHand ? 'planning.caution.isolated_countersink' : '')
        ->and(in_array('key_out', $lead['standing'] ?? [], true))
        ->toBe(! $byHand)
        ->and(str_contains(told($lead['why']), 'planning.why.countersink_by_hand'))->toBe($byHand);
})->with([[[300, 600], true], [[280, 600], false], [[230, 600], false], [[180, 600], false]]);
