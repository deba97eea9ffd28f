<?php

declare(strict_types=1);

use MillStep\Core\Assessment\CriticalLinesAlone;
use MillStep\Core\Assessment\LinesFor;
use MillStep\Core\Border\Fields;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return list<array<string, mixed>> */
function bank_of(int $reasons, int $others = 4): array
{
    $line = static fn (string $id, string $group): array => [
        'id' => $id, 'group' => $group, 'kind' => 'observed', 'weight' => 1, 'why' => $group === 'why',
        ...$group === 'why' ? ['follow_ups' => ['And then?']] : [],
    ];

    return [
        ...array_map(static fn (int $at): array => $line("line-$at", 'work'), range(1, $others)),
        ...$reasons === 0 ? [] : array_map(static fn (int $at): array => $line("why-$at", 'why'), range(1, $reasons)),
        $line('last', 'work'),
    ];
}

it('asks for three reasons whatever the seed, in the order of the sheet, and leaves every other line', function (): void {
    $random = new Randomizer(new Mt19937(20_331_204));
    $seen = [];
    for ($run = 0; $run < 300; $run++) {
        [$reasons, $seed] = [$random->getInt(0, 8), $random->getInt(1, 2_147_483_647)];
        $bank = bank_of($reasons);
        $drawn = LinesFor::drawn($bank, $seed);
        $ids = array_column($drawn, 'id');
        expect(array_filter($ids, static fn (string $id): bool => str_starts_with($id, 'why')))->toHaveCount(min(3, $reasons))
            ->and(array_values(array_diff(array_column($bank, 'id'), array_filter(
                array_column($bank, 'id'), static fn (string $id): bool => str_starts_with($id, 'why') && ! in_array($id, $ids, true),
            ))))->toBe($ids)
            ->and(LinesFor::drawn($bank, $seed))->toBe($drawn);
        $reasons === 5 && array_push($seen, ...$ids);
    }
    // Each reason of a bank comes up.
    expect(array_values(array_unique(array_filter($seen, static fn (string $id): bool => str_starts_with($id, 'why')))))->toHaveCount(5);
});

it('asks for every reason of a sheet that has no questions to follow: one that is open keeps what was marked on it', function (): void {
    $old = array_map(static fn (array $line): array => array_diff_key($line, ['follow_ups' => 0]), bank_of(6));
    expect(LinesFor::drawn($old, 7))->toBe($old);
});

it('says a line for the machine, and as it stands where nothing else is said', function (): void {
    $plain = ['id' => 'plain', 'levels' => ['met' => 'Yes']];
    $line = ['id' => 'speed', 'levels' => ['met' => 'Stopped'], 'levels_for' => ['running' => ['met' => 'Turning']]];
    $met = static fn (?string $change): array => array_map(
        static fn (array $one): string => $one['levels']['met'], LinesFor::machine([$plain, $line], $change),
    );
    expect($met('running'))->toBe(['Yes', 'Turning'])->and($met('stopped_and_isolated'))->toBe(['Yes', 'Stopped'])
        ->and($met(null))->toBe(['Yes', 'Stopped'])->and($met(''))->toBe(['Yes', 'Stopped'])
        ->and(LinesFor::machine([['id' => 'odd', 'levels' => ['met' => 'A'], 'levels_for' => 'running']], 'running')[0]['levels'])
        ->toBe(['met' => 'A']);
});

it('reckons a sheet on which nobody can fail with no more reasons than are asked for, and those the lightest', function (): void {
    // With all five of its reasons not known somebody comes to 44 %, with the three that are drawn to 57: at 50 nobody could fail.
    $lines = array_map(static fn (array $line): array => [...$line, 'critical' => ! $line['why']], bank_of(5, 3));
    $score = static fn (array $lines) => CriticalLinesAlone::score(Fields::of(['criteria' => $lines, 'pass_mark_percent' => 50]));
    expect($score($lines))->scorePercent->toEqualWithDelta(57.1, 0.05)->outcome->value->toBe('passed');
    $heavy = array_map(static fn (array $line): array => [...$line, 'weight' => $line['id'] === 'why-1' ? 40 : 1], $lines);
    expect($score($heavy)->scorePercent)->toEqualWithDelta(57.1, 0.05);
});
