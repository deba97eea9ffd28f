<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\AccessRequest;
use MillStep\Core\Competency\Scope;

/** @return array<string, mixed> a scope drawn at random: each limit is there or not */
function randomScope(Random\Randomizer $draw): array
{
    $some = static fn (array $of): array => array_values(array_filter($of, static fn (): bool => $draw->getInt(0, 1) === 1));

    return array_filter([
        'materials' => $draw->getInt(0, 1) === 1 ? $some(['mild_steel', 'acrylic', 'bronze']) : null,
        'operations' => $draw->getInt(0, 1) === 1 ? $some(['drill', 'tap', 'ream']) : null,
        'max_diameter_mm' => $draw->getInt(0, 1) === 1 ? $draw->getInt(4, 12) : null,
        'min_thickness_mm' => $draw->getInt(0, 1) === 1 ? $draw->getInt(1, 5) : null,
        'companion' => $draw->getInt(0, 1) === 1 ? true : null,
    ], static fn (mixed $limit): bool => $limit !== null);
}

it('covers within two scopes what each of them covers, and says no loss exactly where nothing is lost', function (): void {
    $draw = of_the_day(7);
    $scope = static fn (array $given): Scope => Scope::fromFields(Fields::of($given));
    foreach (range(1, histories(2_000)) as $_) {
        [$signed, $permit] = [$scope(randomScope($draw)), $scope(randomScope($draw))];
        $both = $signed->within($permit);
        $lost = $signed->lostIn($both);
        $lostAny = $both->companion && ! $signed->companion;
        foreach (['mild_steel', 'acrylic', 'bronze', null] as $material) {
            foreach (['drill', 'tap', 'ream', null] as $operation) {
                foreach ([3, 8, 13, null] as $diameter) {
                    foreach ([0.5, 3, 6, null] as $thickness) {
                        $request = AccessRequest::fromFields(Fields::of(array_filter([
                            'material' => $material, 'operation' => $operation, 'diameter_mm' => $diameter, 'thickness_mm' => $thickness,
                        ], static fn (mixed $said): bool => $said !== null)));
                        expect($both->covers($request))->toBe($signed->covers($request) && $permit->covers($request));
                        $lostAny = $lostAny || ($signed->covers($request) && ! $both->covers($request));
                    }
                }
            }
        }
        // What is lost shows in some piece of work or in the companion; limits between the sizes tried here may show in none.
        expect($lostAny && $lost === [])->toBeFalse()
            ->and($both->lostIn($both))->toBe([])
            ->and($both->within($permit)->toArray())->toBe($both->toArray());
    }
});

it('names what is lost: the names that are gone, the tighter sizes, and true where there was no limit before', function (): void {
    $scope = static fn (array $given): Scope => Scope::fromFields(Fields::of($given));
    $signed = $scope(['materials' => ['mild_steel', 'bronze'], 'max_diameter_mm' => 10]);
    $permit = $scope(['materials' => ['mild_steel'], 'operations' => ['drill'], 'max_diameter_mm' => 8, 'min_thickness_mm' => 3,
        'companion' => true]);
    expect($signed->lostIn($signed->within($permit)))->toBe([
        'materials' => ['bronze'], 'operations' => true, 'max_diameter_mm' => 8.0, 'min_thickness_mm' => 3.0, 'companion' => true,
    ])->and($signed->lostIn($scope(['max_diameter_mm' => 12])))->toBe([]);
});
