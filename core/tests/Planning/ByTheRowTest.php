<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** No sentence that the material's own row contradicts, and threads that keep their class. */
it('takes the chart\'s drill where the crib has it and the material allows it', function (string $thread, float $chart): void {
    $drill = operations(hole(['purpose' => 'tapped', 'thread' => $thread]))['drill'];
    expect($drill['diameter_mm'])->toEqualWithDelta($chart, 1e-9)
        ->and(told(hole(['purpose' => 'tapped', 'thread' => $thread])['warnings']))->not->toContain('minor');
})->with([['M4', 3.3], ['M5', 4.2], ['M6', 5.0], ['M8', 6.8], ['M10', 8.5]]);

it('keeps a thread in its class where any drill of the window does, and says so where none does', function (): void {
    $halves = ['crib' => ['drills' => crib(0.5)]];
    // By halves there is 7 for M8, which leaves 62 %, within the window; 6H ends at 6.912.
    expect(told(hole(['purpose' => 'tapped', 'thread' => 'M8'], $halves)['warnings']))
        ->toContain('planning.warns.minor_out_of_class thread=M8x1.25 class=6H drill_mm=7 least_mm=6.647 most_mm=6.912 chart=6.8')
        // 5 is in the class of M6, and 5.5 nowhere near.
        ->and(operations(hole(['purpose' => 'tapped', 'thread' => 'M6'], $halves))['drill']['diameter_mm'])->toEqual(5)
        // Stainless is tapped with less thread than the chart's drill leaves: that is why, and it is said.
        ->and(told(hole(['purpose' => 'tapped', 'thread' => 'M10'], ['material' => 'austenitic_stainless'])['warnings']))
        ->toContain('planning.warns.minor_by_material');
    foreach (['mild_steel', 'aluminium_6000', 'brass_free_cutting', 'acetal'] as $material) {
        foreach (['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', '1/4-20', '10-32', '3/8-16'] as $thread) {
            $plan = hole(['purpose' => 'tapped', 'thread' => $thread], ['material' => $material]);
            if (isset($plan['error'])) {
                continue;
            }
            $limits = MillStep\Core\Reference\ThreadMinor::of(MillStep\Core\Reference\ThreadTable::shipped()->get($thread));
            $minor = operations($plan)['drill']['diameter_mm'];
            $out = $limits !== null && ($minor < $limits->least->inMm() - 1e-9 || $minor > $limits->most->inMm() + 1e-9);
            expect(str_contains(told($plan['warnings']), 'planning.warns.minor_'))->toBe($out, "$material $thread");
        }
    }
});

it('says that a thread is too short to hold, or longer than it is worth', function (): void {
    $words = static fn (float $depth): string => told(hole(
        ['purpose' => 'tapped', 'thread' => 'M8', 'through' => false, 'depth_mm' => $depth],
        ['thickness_mm' => 60, 'crib' => ['drills' => array_map(
            static fn (array $drill): array => [...$drill, 'flute_length_mm' => 100],
            crib(0.1),
        )]],
    )['warnings']);
    expect($words(6))->toContain('planning.warns.thread_short thread=M8x1.25 depth_mm=6 deep_ratio=0.75 least_ratio=0.8')
        ->and($words(6.4))->not->toContain('thread_')
        ->and($words(20))->not->toContain('thread_')
        ->and($words(20.1))->toContain('planning.warns.thread_long')
        // A short thread may be what the drawing wants: it is said, and can be made.
        ->and(hole(['purpose' => 'tapped', 'thread' => 'M8'], ['thickness_mm' => 5])['ready'])->toBeTrue();
});

it('strikes no plastic, and puts no dye on it', function (string $material): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['material' => $material, 'policy' => ['punching_school' => 'one_blow']]);
    ['mark_out' => $mark, 'punch' => $punch, 'hold' => $hold] = operations($plan);
    expect(told($mark['why']))->toContain('planning.marking.plastic')
        ->and(told($punch['tool']))->toBe('planning.punch_tool.awl')
        ->and(told($punch['why']))->toContain('planning.punching.awl')->not->toContain('one_blow')
        ->and(told($mark['tool']))->toBe('planning.tool.pencil')
        ->and(told($hold['cautions']))->toContain('planning.caution.backed_right_under')->not->toContain('under_the_hole')
        ->and(told($hold['needs']))->toContain('planning.needs.flat_backing')
        ->and(told(operations($plan)['clean']['needs']))->toContain("planning.needs.avoid material=workshop.material.$material");
})->with(['acrylic', 'polycarbonate', 'nylon', 'acetal', 'pvc_rigid']);

it('says what must not come near a material, and nothing where nothing must', function (string $material, bool $said): void {
    expect(isset(operations(hole(['purpose' => 'plain', 'diameter_mm' => 6], ['material' => $material]))['clean']['needs']))->toBe($said);
})->with([['grey_cast_iron', true], ['brass_free_cutting', true], ['mild_steel', false], ['softwood', false]]);

it('measures nylon twice', function (): void {
    $words = static fn (string $material): string => told(
        operations(hole(['purpose' => 'plain', 'diameter_mm' => 6], ['material' => $material]))['measure']['why'],
    );
    expect($words('nylon'))->toContain('planning.why.closes_in')->and($words('acetal'))->not->toContain('closes_in');
});

it('reams cast iron dry in every sentence', function (): void {
    $plan = hole(['purpose' => 'reamed', 'diameter_mm' => 8], ['material' => 'grey_cast_iron']);
    expect(told(operations($plan)['ream']['why']))->toContain('planning.why.ream_dry')
        ->and(told($plan['operations']))->not->toContain('planning.why.ream ')
        ->and(told(operations(hole(['purpose' => 'reamed', 'diameter_mm' => 8]))['ream']['why']))
        ->toContain('planning.why.ream')->not->toContain('dry');
});

it('never eases off or dwells in stainless', function (string $school): void {
    $plan = hole(
        ['purpose' => 'plain', 'diameter_mm' => 9],
        ['material' => 'austenitic_stainless', 'policy' => ['chip_school' => $school]],
    );
    $all = told(array_merge(...array_map(
        static fn (array $step): array => [...$step['why'], ...$step['cautions']],
        $plan['operations'],
    )));
    expect($all)->toContain('planning.chips.work_hardens')->toContain('planning.caution.breakthrough_work_hardens')
        ->not->toContain('ease_off')->not->toContain('ease_at_breakthrough');
})->with(['ease_off', 'push_on']);

it('takes the point of the crib\'s drill, else 118 degrees, and says which', function (): void {
    $with = static fn (array $drill, string $material = 'mild_steel'): array => hole(
        ['purpose' => 'plain', 'diameter_mm' => 6],
        ['material' => $material, 'crib' => ['drills' => [['designation' => '6', 'diameter_mm' => 6, ...$drill]]]],
    );
    $total = static fn (array $plan): float => operations($plan)['drill']['total_depth_mm'];
    $rule = static fn (array $plan): string => array_column(operations($plan)['drill']['figures'], null, 'key')['total_depth_mm']['rule'];
    expect($total($with([])))->toEqualWithDelta(9 + 3 / tan(deg2rad(59)), 1e-9)
        ->and($rule($with([])))->toBe('total_taken')
        ->and($total($with(['point_angle_deg' => 135])))->toEqualWithDelta(9 + 3 / tan(deg2rad(67.5)), 1e-9)
        ->and($rule($with(['point_angle_deg' => 135])))->toBe('total')
        ->and(told(operations($with(['point_angle_deg' => 135]))['drill']['tool']))
        ->toContain('planning.tool.pointed')->toContain('angle_deg=135')
        ->and(told(operations($with(['point_angle_deg' => 118]))['drill']['tool']))->not->toContain('pointed')
        // A material that wants another point is told so, whether the drill's is known or taken.
        ->and(told($with([], 'tool_steel_annealed')['warnings']))->toContain('planning.warns.other_point')->toContain('wanted_deg=135')
        ->and(told($with(['point_angle_deg' => 135], 'tool_steel_annealed')['warnings']))->not->toContain('other_point');
    foreach ([[], ['point_angle_deg' => 90], ['point_angle_deg' => 135]] as $drill) {
        expect(objections($with($drill)))->toBe([]);
    }
});

it('says how wide and how deep a countersink goes, and where burrs are', function (): void {
    $plan = hole(['purpose' => 'tapped', 'thread' => 'M8'], ['thickness_mm' => 12]);
    ['countersink' => $sink, 'deburr' => $deburr] = operations($plan);
    expect($sink['total_depth_mm'])->toEqualWithDelta((8.8 - 6.8) / 2, 1e-9)
        ->and(told($sink['needs']))->toContain('planning.needs.sink_mouth mouth_mm=8.8 angle_deg=90')
        ->and(told($deburr['needs']))->toContain('both_sides')
        ->and(told(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5, 'through' => false, 'depth_mm' => 4]))['deburr']['needs']))
        ->toContain('top_edge');
});

it('counts the upper board in the depth of a sandwich, and puts the mark on it', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 5], ['thickness_mm' => 1.5]);
    expect(operations($plan)['drill']['depth_mm'])->toEqualWithDelta(10 + 1.5 + 1, 1e-9)
        ->and(told(operations($plan)['mark_out']['why']))->toContain('planning.marking.on_board')
        ->and(told(operations($plan)['hold']['needs']))->toContain('planning.needs.boards_taken board_mm=10')
        ->and($plan['ready'])->toBeTrue()
        ->and(operations(hole(['purpose' => 'plain', 'diameter_mm' => 5], ['thickness_mm' => 3]))['drill']['depth_mm'])->toEqual(4);
});

it('takes a step drill to its step, past the tip and the steps before', function (): void {
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 8], ['thickness_mm' => 1.5, 'crib' => [
        'drills' => crib(0.5), 'step_drills' => [['diameters_mm' => [4, 6, 8, 10]], ['diameters_mm' => [5, 6, 7, 8]]],
    ]]);
    $drill = operations($plan)['drill'];
    // Two smaller steps and the tip, five each, on the drill that has the fewest before it.
    expect($drill['total_depth_mm'])->toEqualWithDelta(1.5 + 1 + 3 * 5, 1e-9)
        ->and(told($drill['needs']))->toContain('planning.needs.step_drill step_mm=8 ahead_mm=15')
        ->and(told(operations($plan)['mark_out']['why']))->not->toContain('on_board');
});

it('leaves a sixty-fourth by the school that wants it, by machine only', function (): void {
    $with = static fn (string $reamer, string $school): array => hole(
        ['purpose' => 'reamed', 'diameter_mm' => 6.35, 'reamer' => $reamer],
        ['crib' => ['drills' => MillStep\Core\Workshop\DrillSeries::SixtyFourths->drills()],
            'policy' => ['ream_school' => $school, 'pilot_school' => 'single']],
    );
    $plan = $with('machine', 'next_64th');
    expect($plan['missing'])->toBe([])
        ->and(operations($plan)['drill']['diameter_mm'])->toEqualWithDelta(6.35 - 25.4 / 64, 1e-9)
        ->and(objections($plan))->toBe([])
        // By hand that is twice too much, and another school judges by its table.
        ->and(told($with('hand', 'next_64th')['missing']))->toContain('planning.lacks.drill_before_reamer')
        ->and(told($with('machine', 'table')['missing']))->toContain('planning.lacks.drill_before_reamer');
});

it('puts no oil where the row wants none: the pilot of a seat runs dry there', function (string $material, bool $dry): void {
    foreach (['counterbored' => 'counterbore', 'spotfaced' => 'spotface'] as $purpose => $kind) {
        $seat = operations(hole(['purpose' => $purpose, 'fastener' => 'M6'], ['material' => $material, 'thickness_mm' => 20]))[$kind];
        expect(str_contains(told($seat['needs']), '_dry'))->toBe($dry, $material);
    }
})->with([['grey_cast_iron', true], ['acrylic', true], ['nylon', true], ['mild_steel', false], ['aluminium_6000', false]]);
