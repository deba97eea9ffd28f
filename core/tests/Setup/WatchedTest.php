<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Setup\Finding;
use MillStep\Core\Setup\LatheRules;
use MillStep\Core\Setup\PersonRules;
use MillStep\Core\Setup\SetupFacts;
use MillStep\Core\Setup\Severity;
use MillStep\Core\Setup\SpeedRules;
use MillStep\Core\Setup\ThreadRules;
use MillStep\Core\Setup\ToolRules;
use MillStep\Core\Setup\Watched;

it('weighs what hangs on an operation as the rule does that finds it', function (callable $rule, array $facts, string $operation): void {
    $finding = $rule(new SetupFacts(Fields::of($facts)));
    assert($finding instanceof Finding);
    $scene = ($facts['machine_kind'] ?? 'drill_press') === 'lathe' ? 'lathe' : 'press';
    expect(Watched::at($scene, [$operation], $operation === 'grab'))->toHaveKey($finding->code, $finding->severity);
})->with([
    'drift' => [[PersonRules::class, 'drift'], ['drift_in_spindle' => true], 'drill_taper'],
    'taper' => [[LatheRules::class, 'taper'], ['taper_clean' => false, 'machine_kind' => 'lathe'], 'drill_taper'],
    'power on a hand tap' => [[ThreadRules::class, 'powerOnHandTool'], ['tool' => 'tap', 'hand_tool' => true, 'powered' => true], 'tap'],
    'a reamer turned back' => [[ThreadRules::class, 'reamerReversed'], ['tool' => 'reamer', 'reversed' => true], 'ream'],
    'no mark' => [[ToolRules::class, 'startMark'], ['tool' => 'twist_drill', 'start' => 'none'], 'drill_cross'],
    'a wheel turned at standstill' => [
        [SpeedRules::class, 'changedInState'],
        ['changing_speed' => true, 'speed_change' => 'running', 'running' => false, 'isolated' => true], 'drill',
    ],
]);

it('finds what a drawn set-up can meet, each at its hardest, and only what belongs to the machine', function (): void {
    $press = Watched::at('press', [], false);
    $lathe = Watched::at('lathe', [], false);
    expect($press)->toHaveKey('guard_open', Severity::Stop)->toHaveKey('table_unlocked', Severity::Fix)
        ->toHaveKey('speed_too_fast', Severity::Stop)->not->toHaveKey('rotation_wrong')->not->toHaveKey('wood_bit_in_metal')
        ->not->toHaveKey('sharp_lips_in_grabbing_material')
        ->and($lathe)->toHaveKey('rotation_wrong', Severity::Stop)->toHaveKey('tailstock_unclamped', Severity::Fix)
        ->not->toHaveKey('table_unlocked')->not->toHaveKey('speed_change_wrong_state')
        ->and(Watched::at('press', [], true))->toHaveKey('sharp_lips_in_grabbing_material', Severity::Stop);
});
