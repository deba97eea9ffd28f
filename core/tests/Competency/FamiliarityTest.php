<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\MachineChange;
use MillStep\Core\Workshop\MachineTrait;
use MillStep\Core\Workshop\MachineTraits;

function on_day(string $day): DateTimeImmutable
{
    return new DateTimeImmutable("2031-{$day}T09:00:00Z");
}

/** @return list<MachineChange> */
function machine_changes(array ...$lines): array
{
    return array_map(static fn (array $line): MachineChange => new MachineChange(
        $line[1], $line[2], $line[3], on_day($line[0]),
    ), $lines);
}

it('ends with grace when the machine is no longer what they were shown', function (array $changes, ?string $until): void {
    $known = new Familiarity(on_day('03-01'), 'entry');
    expect($known->until(machine_changes(...$changes), 14)?->format('m-d'))->toBe($until);
})->with([
    'as it was' => [[], null],
    'changed before they were shown it' => [[['02-01', 'brake', 'none', 'foot bar']], null],
    'changed since' => [[['04-01', 'brake', 'none', 'foot bar']], '04-15'],
    'said for the first time' => [[['04-01', 'brake', null, 'foot bar']], null],
    'said for the first time, and changed then' => [
        [['04-01', 'brake', null, 'none'], ['05-01', 'brake', 'none', 'foot bar']], '05-15',
    ],
    'said no more' => [[['04-01', 'brake', 'none', null]], null],
    'said no more, and then otherwise' => [[['04-01', 'brake', 'none', null], ['05-01', 'brake', null, 'foot bar']], '05-15'],
    'put back' => [[['04-01', 'brake', 'none', 'foot bar'], ['04-02', 'brake', 'foot bar', 'none']], null],
    'changed twice: who does not know the first does not know the second' => [
        [['04-01', 'brake', 'none', 'foot bar'], ['04-10', 'brake', 'foot bar', 'electric']], '04-15',
    ],
    'the first of two traits' => [[['04-20', 'scale', 'a', 'b'], ['04-21', 'stop', 'left', 'right']], '05-04'],
    'one put back and one not' => [
        [['04-01', 'brake', 'none', 'foot bar'], ['04-20', 'stop', 'left', 'right'], ['04-21', 'brake', 'foot bar', 'none']], '05-04',
    ],
]);

it('stands from its instant to the end of its grace, to the second', function (): void {
    $known = new Familiarity(on_day('03-01'), 'sheet');
    $changed = machine_changes(['04-01', 'stop', 'left', 'right']);
    expect($known->stands($changed, 14, on_day('04-15')->modify('-1 second')))->toBeTrue()
        ->and($known->stands($changed, 14, on_day('04-15')))->toBeFalse()
        ->and($known->stands($changed, 0, on_day('04-01')))->toBeFalse()
        ->and($known->stands([], 14, on_day('03-01')->modify('-1 second')))->toBeFalse()
        ->and($known->changed($changed))->toHaveKeys(['stop']);
});

it('says what differs from a machine that is known, and always shows stop and isolator', function (): void {
    $here = MachineTraits::fromRecord([
        'speed_change' => 'running', 'stop' => 'Red, left of the head', 'isolator' => 'On the wall', 'brake' => null,
        'locks' => 'one lever',
        'depth_scale' => ['unit' => 'mm', 'graduation_mm' => 1, 'travel_mm' => 80],
    ]);
    $same = MachineTraits::fromRecord([
        'speed_change' => 'running', 'stop' => ' red,  LEFT of the head', 'isolator' => 'on the wall', 'locks' => 'one lever',
        'depth_scale' => ['travel_mm' => 80.0, 'graduation_mm' => 1.0, 'unit' => 'mm'], 'name' => 'another',
    ]);
    $other = MachineTraits::fromRecord(['speed_change' => 'stopped_and_isolated', 'brake' => 'foot bar', 'isolator' => 'On the wall']);
    $names = static fn (array $traits): array => array_map(static fn (MachineTrait $one): string => $one->value, $traits);
    expect($names($here->differsFrom($same)))->toBe([])
        ->and($names($here->toShow($same)))->toBe(['stop', 'isolator'])
        // A brake that the other has is looked for here in vain.
        ->and($names($here->differsFrom($other)))->toBe(['speed_change', 'stop', 'brake', 'locks', 'scale'])
        ->and($names($here->toShow($other)))->toBe(['speed_change', 'stop', 'isolator', 'brake', 'locks', 'scale'])
        ->and($names($here->toShow(null)))->toBe(['speed_change', 'stop', 'isolator', 'locks', 'scale'])
        ->and($names(MachineTraits::fromRecord([])->toShow(null)))->toBe(['stop', 'isolator']);
});

it('is the machine of a passed sheet, what was used before, or what was shown; the latest of them', function (): void {
    $sheet = static fn (string $day, string $outcome, array $more = []): array => [
        'type' => 'assessment_concluded', 'assessment' => 'PS', 'outcome' => $outcome, 'at' => "2031-{$day}T09:00:00Z", ...$more,
    ];
    $shown = static fn (string $day, string $because = 'entry'): array => [
        'type' => 'familiarised', 'machine' => 'floor', 'because' => $because, 'at' => "2031-{$day}T09:00:00Z",
    ];
    $knows = static fn (array $lines): array => array_map(
        static fn (Familiarity $one): string => $one->because.' '.$one->at->format('m-d'),
        Ledger::fromFields(Fields::of(['ledger' => $lines]))->asOf(on_day('12-01'))->machines,
    );
    expect($knows([$sheet('01-01', 'passed')]))->toBe([])
        ->and($knows([$sheet('01-01', 'passed', ['machine' => 'bench'])]))->toBe(['bench' => 'sheet 01-01'])
        ->and($knows([$sheet('01-01', 'not_yet', ['machine' => 'bench']), $sheet('01-02', 'stopped', ['machine' => 'bench'])]))->toBe([])
        ->and($knows([$shown('01-01', 'used_before'), $shown('03-01')]))->toBe(['floor' => 'entry 03-01'])
        // What was written down late does not set back what is known.
        ->and($knows([$shown('03-01'), $shown('01-01', 'used_before')]))->toBe(['floor' => 'entry 03-01'])
        ->and($knows([[...$shown('03-01'), 'id' => 'f'], ['type' => 'corrected', 'entry' => 'f', 'at' => '2031-03-02T09:00:00Z']]))
        ->toBe([])
        ->and(fn () => $knows([$shown('03-01', 'said so')]))->toThrow(MillStep\Core\Border\InvalidInput::class);
});
