<?php

declare(strict_types=1);

require_once __DIR__.'/helpers.php';

/** @return array<string, string> remedy by sign, in the order in which they are told */
function signs(string $material, array $policy = []): array
{
    $plan = hole(['purpose' => 'plain', 'diameter_mm' => 6], ['material' => $material, 'policy' => $policy]);

    return array_map(static fn (array $sign): string => $sign['remedy']['code'], array_column($plan['signs'], null, 'sign'));
}

it('tells first what is to be stopped for, and last what is right', function (string $material): void {
    $signs = array_keys(signs($material));
    expect($signs[0])->toBe('climbs')->and(end($signs))->toBe('right')->and(count($signs))->toBeGreaterThan(5);
})->with(['mild_steel', 'austenitic_stainless', 'grey_cast_iron', 'brass_free_cutting', 'aluminium_6000', 'acrylic', 'softwood']);

it('says of a material only what it does', function (): void {
    expect(signs('grey_cast_iron'))->not->toHaveKey('powder')->not->toHaveKey('ribbon')
        ->and(signs('acrylic'))->toHaveKey('melts')->not->toHaveKey('coloured')
        ->and(signs('mild_steel'))->toHaveKeys(['coloured', 'powder', 'ribbon'])->not->toHaveKey('melts')
        ->and(signs('aluminium_6000'))->toHaveKey('welds')->not->toHaveKey('coloured')
        ->and(signs('softwood'))->toHaveKey('scorches')->not->toHaveKey('melts');
});

it('names the school of the long ribbon that is in force, and never eases off in stainless', function (): void {
    expect(signs('mild_steel', ['chip_school' => 'ease_off'])['ribbon'])->toBe('planning.sign.ribbon.remedy_ease_off')
        ->and(signs('mild_steel', ['chip_school' => 'push_on'])['ribbon'])->toBe('planning.sign.ribbon.remedy_more_feed')
        ->and(signs('austenitic_stainless', ['chip_school' => 'ease_off'])['ribbon'])->toBe('planning.sign.ribbon.remedy_hardens')
        ->and(signs('austenitic_stainless')['powder'])->toBe('planning.sign.powder.remedy_hardens');
});

it('speaks of no oil where the material wants none', function (string $material, bool $dry): void {
    foreach (['screech', 'packs'] as $sign) {
        expect(str_ends_with(signs($material)[$sign], 'remedy_dry'))->toBe($dry, "$sign in $material");
    }
})->with([['acrylic', true], ['grey_cast_iron', true], ['softwood', true], ['nylon', true], ['mild_steel', false], ['copper', false]]);
