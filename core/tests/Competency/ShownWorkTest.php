<?php

declare(strict_types=1);

use MillStep\Core\Assessment\OneAlone;
use MillStep\Core\Assessment\SecondView;
use MillStep\Core\Assessment\Variant;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Competency\MayAssess;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Competency\Shown;
use MillStep\Core\Competency\ShownWork;
use MillStep\Core\Competency\Stage;

/** @param  array<string, mixed>  ...$shown */
function shown_work(array ...$shown): ShownWork
{
    return ShownWork::of(...array_map(static fn (array $one): Shown => Shown::fromFields(Fields::of($one)), array_values($shown)));
}

/** @param  array<string, mixed>  $scope */
function lacks(ShownWork $shown, array $scope): array
{
    return array_map(
        static fn (array $pair): string => "{$pair['operation']} {$pair['material']}",
        $shown->lacks(Scope::fromFields(Fields::of($scope))),
    );
}

it('counts pairs: what was seen in one material is not seen in another', function (): void {
    $shown = shown_work(
        ['operation' => 'drill', 'materials' => ['mild_steel', 'brass_free_cutting'], 'up_to_mm' => 10],
        ['operation' => 'tap', 'materials' => ['brass_free_cutting'], 'up_to_mm' => 12],
    );
    $both = ['materials' => ['mild_steel', 'brass_free_cutting'], 'operations' => ['drill', 'tap'], 'max_diameter_mm' => 10];
    expect(lacks($shown, $both))->toBe(['tap mild_steel'])
        ->and(lacks($shown, [...$both, 'materials' => ['brass_free_cutting']]))->toBe([])
        ->and(lacks($shown, [...$both, 'operations' => ['drill']]))->toBe([])
        ->and(lacks($shown, [...$both, 'operations' => ['drill'], 'max_diameter_mm' => 10.1]))
        ->toBe(['drill mild_steel', 'drill brass_free_cutting'])
        ->and(lacks($shown, [...$both, 'operations' => ['ream']]))->toBe(['ream mild_steel', 'ream brass_free_cutting']);
});

it('covers nothing that is not named, and no size where none is limited', function (): void {
    $shown = shown_work(['operation' => 'drill', 'materials' => ['mild_steel'], 'up_to_mm' => 10]);
    expect(lacks($shown, ['materials' => ['mild_steel'], 'operations' => ['drill']]))->toBe(['drill mild_steel'])
        ->and(lacks($shown, ['operations' => ['drill'], 'max_diameter_mm' => 8]))->toBe(['drill *'])
        ->and(count(lacks($shown, ['materials' => ['mild_steel'], 'max_diameter_mm' => 8])))->toBe(count(Scope::OPERATIONS) - 1)
        ->and(lacks(shown_work(), ['materials' => ['nylon'], 'operations' => ['face']]))->toBe(['face nylon']);
});

it('takes a sheet that says nothing for whatever its permit covers, in its own material alone', function (): void {
    $shows = Variant::shows([['id' => 'eyes'], ['id' => 'dia']], 'bronze');
    expect($shows)->toBe([['materials' => ['bronze']]])
        ->and(lacks(shown_work(...$shows), ['materials' => ['bronze', 'nylon'], 'operations' => ['face']]))->toBe(['face nylon']);
});

it('never lacks more for a narrower signature', function (): void {
    $random = of_the_day(20_331);
    $pick = static fn (array $from): array => array_values(array_filter($from, static fn (): bool => $random->getInt(0, 1) === 1));
    $materials = ['mild_steel', 'aluminium_6000', 'nylon'];
    for ($n = 0; $n < histories(3_000); $n++) {
        $shown = shown_work(...array_map(static fn (): array => [
            'operation' => Scope::OPERATIONS[$random->getInt(0, 4)], 'materials' => $pick($materials), 'up_to_mm' => $random->getInt(4, 20),
        ], range(1, 4)));
        $wide = [
            'materials' => $materials, 'operations' => array_slice(Scope::OPERATIONS, 0, 5), 'max_diameter_mm' => $random->getInt(4, 20),
        ];
        $narrow = ['materials' => $pick($materials), 'operations' => $pick($wide['operations']),
            'max_diameter_mm' => $random->getInt(1, $wide['max_diameter_mm'])];
        expect(array_diff(lacks($shown, $narrow), lacks($shown, $wide)))->toBe([]);
    }
});

it('changes of a line on another piece its limits and what it shows, and nothing else', function (): void {
    $piece = Variant::fromFields(Fields::of([
        'key' => 'brass', 'material' => 'brass_free_cutting',
        'replaces' => ['dia' => ['nominal_mm' => 6, 'shows' => ['operation' => 'ream']]],
    ]));
    $lines = [['id' => 'eyes', 'weight' => 2], ['id' => 'dia', 'weight' => 5, 'nominal_mm' => 8, 'shows' => ['operation' => 'drill']]];
    expect($piece->of($lines))->toBe([$lines[0], [...$lines[1], 'nominal_mm' => 6, 'shows' => ['operation' => 'ream']]])
        ->and(Variant::shows($piece->of($lines), $piece->material))->toBe([['materials' => ['brass_free_cutting'], 'operation' => 'ream']])
        ->and($piece->lines())->toBe(['dia'])
        ->and(fn () => Variant::fromFields(Fields::of([
            'key' => 'x', 'material' => 'nylon', 'replaces' => ['dia' => ['critical' => false]],
        ])))->toThrow(InvalidInput::class);
});

it('says who may assess whom', function (bool $own, ?Stage $stage, bool $excepted, array $reasons): void {
    expect(MayAssess::reasons($own, $stage, $excepted))->toBe($reasons);
})->with([
    'piloted' => [false, Stage::Piloted, false, []],
    'signed already' => [false, Stage::Tapped, false, []],
    'punched' => [false, Stage::Punched, false, ['not_piloted']],
    'punched, by an exception' => [false, Stage::Punched, true, []],
    'authorised for none' => [false, null, true, ['not_authorised']],
    'oneself' => [true, Stage::Blank, false, ['own_record', 'not_piloted']],
]);

it('draws one of so many sheets for a second view, the same for a seed, and none where none is asked for', function (): void {
    $drawn = array_filter(range(1, 20_000), static fn (int $seed): bool => SecondView::isDrawn($seed, 10));
    expect(count($drawn))->toBeGreaterThan(1_800)->toBeLessThan(2_200)
        ->and(array_filter(range(1, 200), static fn (int $seed): bool => SecondView::isDrawn($seed, 0)))->toBe([])
        ->and(array_filter(range(1, 200), static fn (int $seed): bool => ! SecondView::isDrawn($seed, 1)))->toBe([])
        ->and(SecondView::isDrawn(77, 3))->toBe(SecondView::isDrawn(77, 3));
});

it('knows when one person alone has seen a learner work', function (): void {
    expect(OneAlone::among([4], [4, 4], [4]))->toBe(4)
        ->and(OneAlone::among([], [4], [4]))->toBe(4)
        ->and(OneAlone::among([5], [4], [4]))->toBeNull()
        ->and(OneAlone::among([4], [4], [4, 0]))->toBeNull()
        ->and(OneAlone::among([4], [4, 6], [4]))->toBeNull()
        ->and(OneAlone::among([4], [], [4]))->toBeNull()
        ->and(OneAlone::among([4], [4], []))->toBeNull();
});
