<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Reference\MorseTaper;
use MillStep\Core\Workshop\Dial;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Speeds;

require_once __DIR__.'/../Planning/helpers.php';

/** @param  array<string, mixed>  $given */
function machine_of(array $given): MachineSpec
{
    return MachineSpec::fromFields(Fields::of($given));
}

it('takes a machine that says little for a drill press with whole millimetres', function (): void {
    $machine = machine_of(['speeds_rpm' => [500]]);
    expect($machine->isLathe())->toBeFalse()->and($machine->inService)->toBeTrue()->and($machine->speedChange)->toBe('stopped_and_isolated')
        ->and($machine->scale->unit)->toBe('mm')->and($machine->scale->graduation->inMm())->toBe(1.0)
        ->and([$machine->travel, $machine->chuckMax, $machine->throughBore, $machine->carriage, $machine->crossSlide, $machine->taper])
        ->toBe([null, null, null, null, null, null]);
});

it('reads an inch scale in sixteenths where it does not say otherwise', function (): void {
    expect(machine_of(['speeds_rpm' => [500], 'depth_scale' => ['unit' => 'in']])->scale->graduation->inMm())->toBe(25.4 / 16);
});

it('knows every kind that the shop has, and takes each for a press or a lathe', function (string $kind): void {
    expect(machine_of(['kind' => $kind, 'speeds_rpm' => [500]])->isLathe())->toBe($kind === 'lathe');
})->with(MachineSpec::KINDS);

it('names the field of a machine that will not do', function (array $with, string $named): void {
    expect(fn () => machine_of(['speeds_rpm' => [500], ...$with]))->toThrow(function (InvalidInput $fault) use ($with, $named): void {
        expect($fault->field)->toBe(array_key_first($with))->and($fault->getMessage())->toContain($named);
    });
})->with([
    'no speeds' => [['speeds_rpm' => []], 'speeds_rpm'],
    'a speed that is none' => [['speeds_rpm' => [500, 0]], 'speeds_rpm'],
    'speeds in words' => [['speeds_rpm' => ['fast']], 'speeds_rpm'],
    'another way to change them' => [['speed_change' => 'whenever'], 'speed_change'],
    'a scale in feet' => [['depth_scale' => ['unit' => 'ft']], 'unit'],
    'lines of no width' => [['depth_scale' => ['graduation_mm' => 0]], 'graduation_mm'],
    'a quill that goes nowhere' => [['depth_scale' => ['travel_mm' => -1]], 'travel_mm'],
    'a chuck of no size' => [['chuck_max_mm' => 0], 'chuck_max_mm'],
    'a taper that there is not' => [['taper' => 7], 'taper'],
    'half a taper' => [['taper' => 2.5], 'taper'],
    'a dial without a division' => [['dial' => ['divisions_per_turn' => 100]], 'graduation_mm'],
    'a dial of no divisions' => [['dial' => ['graduation_mm' => 0.02, 'divisions_per_turn' => 0]], 'divisions_per_turn'],
    'service in a word' => [['in_service' => 'yes'], 'in_service'],
]);

it('turns at one of its steps, the greatest that is not too fast', function (): void {
    $speeds = Speeds::steps([850.0, 280.0, 1400.0, 500.0]);
    expect($speeds->isRange())->toBeFalse()->and($speeds->slowest())->toBe(280.0)
        ->and($speeds->atMost(500))->toBe(500.0)->and($speeds->atMost(499.9))->toBe(280.0)->and($speeds->atMost(9999))->toBe(1400.0)
        ->and($speeds->atMost(100))->toBe(280.0);
});

it('turns at any speed of a range, in tens', function (): void {
    $speeds = Speeds::range(60, 2000);
    expect($speeds->isRange())->toBeTrue()->and($speeds->slowest())->toBe(60.0)
        ->and($speeds->atMost(637.9))
        ->toBe(630.0)
        ->and($speeds->atMost(640))
        ->toBe(640.0)
        ->and($speeds->atMost(5000))
        ->toBe(2000.0)
        ->and($speeds->atMost(12))
        ->toBe(60.0)
        ->and($speeds->setting(630))->toBeNull();
});

it('calls a step as the shop calls it', function (): void {
    $speeds = Speeds::steps([280.0, 500.0], ['belt 1', 'belt 2']);
    expect($speeds->setting(500))->toBe('belt 2')->and($speeds->setting(280))->toBe('belt 1')->and($speeds->setting(300))->toBeNull();
    $plan = hole(
        ['purpose' => 'plain', 'diameter_mm' => 9],
        ['machine' => bench(['speeds_rpm' => [280, 500, 850], 'speed_names' => ['low', 'middle', 'high']])],
    );
    expect(operations($plan)['drill'])->toMatchArray(['rpm' => 500, 'setting' => 'middle']);
    $unnamed = hole(['purpose' => 'plain', 'diameter_mm' => 9], ['machine' => bench(['speeds_rpm' => [850, 280, 500]])]);
    expect(operations($unnamed)['drill']['setting'])->toBe(['code' => 'workshop.speed_step', 'terms' => ['step' => 2, 'steps' => 3]]);
});

it('never turns faster than it was told, unless it cannot turn slower', function (): void {
    foreach ([Speeds::steps([280.0, 500.0, 850.0, 1400.0, 2500.0]), Speeds::range(60, 2000)] as $speeds) {
        foreach (draws(300, 20, 4000, 31) as $limit) {
            $chosen = $speeds->atMost($limit);
            expect($chosen <= $limit + 1e-9 || $chosen === $speeds->slowest())->toBeTrue("at most $limit gave $chosen");
        }
    }
});

it('moves by whole divisions, rounded as it is told', function (string $rounding, int $divisions): void {
    $dial = Dial::fromFields(Fields::of(['graduation_mm' => 0.02, 'divisions_per_turn' => 60]));
    $move = $dial->move(Length::mm(1.03), $rounding);
    expect($move->divisions)->toBe($divisions)->and($move->turns)->toBe(0);
})->with([['down', 51], ['up', 52], ['nearest', 52]]);

it('counts twice the travel where the dial shows the diameter', function (): void {
    $dial = static fn (bool $reads): int => Dial::fromFields(
        Fields::of(['graduation_mm' => 0.02, 'reads_diameter' => $reads]),
    )->move(Length::mm(1), 'nearest')->divisions;
    expect($dial(true))->toBe(2 * $dial(false));
});

it('knows the shank that a drill of a size usually has', function (float $diameter, ?int $number): void {
    expect(MorseTaper::usualFor(Length::mm($diameter)))->toBe($number);
})->with([[2, null], [10, 1], [14, 1], [14.5, 2], [20, 2], [24, 3], [40, 4]]);

it('has a band for each shank, each beginning where the last one ends or later', function (): void {
    $bands = array_filter(MorseTaper::drills(), static fn (array $band): bool => $band['from'] !== null && $band['to'] !== null);
    ksort($bands);
    $last = 0.0;
    foreach ($bands as $band) {
        expect($band['from'])->toBeGreaterThanOrEqual($last)->and($band['to'])->toBeGreaterThan($band['from']);
        $last = $band['to'];
    }
    expect($bands)->not->toBe([]);
});
