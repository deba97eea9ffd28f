<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\DrillSeries;
use MillStep\Core\Workshop\MaterialTable;

require_once __DIR__.'/../Planning/helpers.php';

/** @param  array<string, mixed>  $given */
function crib_of(array $given): CribSpec
{
    return CribSpec::fromFields(Fields::of(['drills' => [['designation' => '5', 'diameter_mm' => 5]], ...$given]));
}

it('gives the drills that a material may be drilled with', function (): void {
    $crib = crib_of(['drills' => [
        ['designation' => '5', 'diameter_mm' => 5],
        ['designation' => '5', 'diameter_mm' => 5, 'edge' => 'zero_rake'],
        ['designation' => '6', 'diameter_mm' => 6, 'edge' => 'zero_rake'],
    ]]);
    $table = MaterialTable::shipped();
    expect(array_column($crib->drillsFor($table->get('mild_steel')), 'designation'))->toBe(['5'])
        ->and(array_column($crib->drillsFor($table->get('brass_free_cutting')), 'designation'))->toBe(['5', '6'])
        ->and($crib->allDrills())->toHaveCount(3)
        ->and($crib->isSharp(new Drill('6', Length::mm(6))))->toBeFalse()->and($crib->isDubbed(new Drill('6', Length::mm(6))))->toBeTrue();
});

it('takes the other edge where there is none that fits, for the plan to say so', function (): void {
    $sharp = crib_of([]);
    expect(array_column($sharp->drillsFor(MaterialTable::shipped()->get('brass_free_cutting')), 'designation'))->toBe(['5']);
    $plan = hole(
        ['purpose' => 'plain', 'diameter_mm' => 5],
        ['material' => 'brass_free_cutting', 'crib' => ['drills' => [['designation' => '5', 'diameter_mm' => 5]]]],
    );
    expect(told($plan['warnings']))
        ->toContain('planning.warns.no_dubbed_drill drill=planning.tool.drill size=planning.size.metric size=5')
        ->and(array_column(operations($plan)['drill']['dangers'], 'code'))
        ->toContain('planning.caution.grabs_stone_lips');
});

it('plans without what is put aside, and says which good drill it took', function (): void {
    $aside = static fn (float $mm, string $condition): array => [
        'designation' => (string) $mm, 'diameter_mm' => $mm, 'condition' => $condition,
    ];
    $plan = static fn (array $drills, array $aside): array => hole(['purpose' => 'tapped', 'thread' => 'M8', 'through' => true], [
        'thickness_mm' => 10,
        'crib' => [
            'drills' => array_map(static fn (float $mm): array => ['designation' => (string) $mm, 'diameter_mm' => $mm], $drills),
            'aside' => $aside,
        ],
    ]);
    $other = $plan([2, 6.9], [$aside(6.8, 'regrind')]);
    expect($other['ready'])->toBeTrue()->and(told($other['warnings']))
        ->toContain('planning.warns.best_drill_aside drill=planning.tool.drill size=planning.size.metric size=6.8')
        ->toContain('condition=planning.condition.regrind')
        ->toContain('taken=planning.tool.drill size=planning.size.metric size=6.9');
    $none = $plan([2, 5], [$aside(6.8, 'lost')]);
    expect($none['ready'])->toBeFalse()->and(told($none['warnings']))->toContain('planning.warns.only_aside')
        ->toContain('condition=planning.condition.lost')->not->toContain('best_drill_aside');
    // The good one and the dull one of a size lie in the same drawer; one that is lost can not be taken by mistake.
    $twice = $plan([2, 6.8], [$aside(6.8, 'dull'), $aside(2, 'worn_out'), $aside(9, 'dull')]);
    $codes = array_count_values(array_column($twice['warnings'], 'code'));
    expect($codes['planning.warns.another_aside'] ?? 0)->toBe(2)->and(told($twice['warnings']))->not->toContain('best_drill_aside');
    expect(told($plan([2, 6.8], [$aside(6.8, 'lost')])['warnings']))->not->toContain('aside');
    // A dubbed drill is no loss to a job in steel, nor a sharp one to a job in brass.
    $dubbed = [...$aside(6.8, 'dull'), 'edge' => 'zero_rake'];
    expect(told($plan([2, 6.9], [$dubbed])['warnings']))->not->toContain('aside');
    expect(static fn (): CribSpec => crib_of(['aside' => [$aside(6.8, 'sharpish')]]))->toThrow(InvalidInput::class);
});

it('tells what is not there from what nothing is said about', function (): void {
    $thread = ThreadTable::shipped()->get('M6', 'thread');
    $silent = crib_of([]);
    $bare = crib_of(['taps' => [], 'reamers' => [], 'centre_drills' => [], 'gauges' => []]);
    expect([
        $silent->hasTap($thread, 'taper'),
        $silent->hasCentreDrill('2.5'),
        $silent->hasGauge('plug', '8'),
        $silent->hasReamer(Length::mm(8), 'hand'),
    ])->toBe([true, true, true, true])
        ->and([
            $bare->hasTap($thread, 'taper'),
            $bare->hasCentreDrill('2.5'),
            $bare->hasGauge('plug', '8'),
            $bare->hasReamer(Length::mm(8), 'hand'),
        ])
        ->toBe([false, false, false, false])
        ->and($silent->reamerMethod(Length::mm(8)))->toBe('machine')->and($bare->reamerMethod(Length::mm(8)))->toBeNull();
});

it('knows a tap by its thread, however that is written', function (): void {
    $crib = crib_of(['taps' => [['thread' => 'M6', 'type' => 'taper'], ['thread' => '1/4-20', 'type' => 'bottoming']]]);
    $threads = ThreadTable::shipped();
    expect($crib->hasTap($threads->get('M6x1', 'thread'), 'taper'))
        ->toBeTrue()
        ->and($crib->hasTap($threads->get('M6', 'thread'), 'second'))
        ->toBeFalse()
        ->and($crib->hasTap($threads->get('1/4-20', 'thread'), 'bottoming'))->toBeTrue();
});

it('prefers a machine reamer, and takes a hand reamer where there is no other', function (): void {
    $crib = crib_of([
        'reamers' => [
            ['diameter_mm' => 8, 'method' => 'hand'],
            ['diameter_mm' => 8, 'method' => 'machine'],
            ['diameter_mm' => 10, 'method' => 'hand'],
        ],
    ]);
    expect($crib->reamerMethod(Length::mm(8)))
        ->toBe('machine')
        ->and($crib->reamerMethod(Length::mm(10)))
        ->toBe('hand')
        ->and($crib->reamerMethod(Length::mm(12)))
        ->toBeNull();
});

it('knows shank, flutes and steps', function (): void {
    $crib = crib_of(['drills' => [
        ['designation' => '16', 'diameter_mm' => 16, 'taper' => 2, 'flute_length_mm' => 120],
        ['designation' => '16', 'diameter_mm' => 16, 'flute_length_mm' => 90, 'edge' => 'zero_rake'],
        ['designation' => '5', 'diameter_mm' => 5],
    ], 'step_drills' => [['diameters_mm' => [4, 6, 8]]]]);
    [$sixteen, $five] = [new Drill('16', Length::mm(16)), new Drill('5', Length::mm(5))];
    expect($crib->taperOf($sixteen))->toBe(2)->and($crib->taperOf($five))->toBeNull()
        ->and($crib->fluteLength($sixteen)?->inMm())->toBe(120.0)->and($crib->fluteLength($five))->toBeNull()
        ->and($crib->hasStepDrill(Length::mm(6)))->toBeTrue()->and($crib->hasStepDrill(Length::mm(7)))->toBeFalse();
});

it('names the field of a tool that will not do', function (array $with, string $named): void {
    expect(fn () => crib_of($with))->toThrow(function (InvalidInput $fault) use ($with, $named): void {
        expect([array_key_first($with), 'crib'])->toContain($fault->field)->and($fault->getMessage())->toContain($named);
    });
})->with([
    'no drills' => [['drills' => []], 'drills'],
    'a drill without a size' => [['drills' => [['designation' => '5']]], 'diameter_mm'],
    'a drill without a name' => [['drills' => [['diameter_mm' => 5]]], 'designation'],
    'a drill of another edge' => [['drills' => [['designation' => '5', 'diameter_mm' => 5, 'edge' => 'blunt']]], 'edge'],
    'a tap of no thread' => [['taps' => [['thread' => 'M99', 'type' => 'taper']]], 'M99'],
    'a reamer turned by steam' => [['reamers' => [['diameter_mm' => 8, 'method' => 'steam']]], 'method'],
    'a step drill without steps' => [['step_drills' => [['diameters_mm' => 'many']]], 'diameters_mm'],
    'a gauge without a size' => [['gauges' => [['kind' => 'plug']]], 'size'],
]);

it('has the standard sets, each whole, in order and without a size twice', function (DrillSeries $series, int $count, array $ends): void {
    $drills = $series->drills();
    $diameters = array_column($drills, 'diameter_mm');
    $sorted = $diameters;
    sort($sorted);
    expect($drills)->toHaveCount($count)->and($diameters)->toBe($sorted)->and(array_unique($diameters))->toHaveCount($count)
        ->and([$drills[0]['designation'], $drills[$count - 1]['designation']])->toBe($ends);
})->with([
    'by halves' => [DrillSeries::MetricHalf, 25, ['1', '13']], 'by tenths' => [DrillSeries::MetricTenth, 121, ['1', '13']],
    '64ths' => [DrillSeries::SixtyFourths, 29, ['1/16', '1/2']],
    'numbers' => [DrillSeries::Number, 80, ['#80', '#1']],
    'letters' => [DrillSeries::Letter, 26, ['A', 'Z']],
]);

it('finds the nearest, the larger of two equally near, and the smallest that is not too small', function (): void {
    $drills = array_map(static fn (float $mm): Drill => new Drill((string) $mm, Length::mm($mm)), [6.0, 5.0, 7.0]);
    expect(Drill::nearest($drills, Length::mm(5.5))?->designation)
        ->toBe('6')
        ->and(Drill::nearest($drills, Length::mm(5.4))?->designation)
        ->toBe('5')
        ->and(Drill::smallestAtLeast($drills, Length::mm(5.0004))?->designation)
        ->toBe('5')
        ->and(Drill::smallestAtLeast($drills, Length::mm(5.01))?->designation)
        ->toBe('6')
        ->and(Drill::smallestAtLeast($drills, Length::mm(7.5)))->toBeNull()->and(Drill::nearest([], Length::mm(5)))->toBeNull();
});
