<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entries;
use MillStep\Core\Competency\Ledger\Folded;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\Ledger\Line;
use MillStep\Core\Competency\Record;

/** @param  list<array<string, mixed>>  $lines */
function record(array $lines, string $now = '2031-06-01T12:00:00Z'): Record
{
    return Ledger::fromFields(Fields::of(['ledger' => $lines]))->asOf(new DateTimeImmutable($now));
}

const HISTORIES = 10_000;

/**
 * A made-up history: what happened, in the ledger's own sequence, each line dated by a clock that is up to a day out.
 *
 * @return array{list<array<string, mixed>>, bool} the lines, and whether a hold stands by their sequence
 */
function history(Random\Randomizer $random): array
{
    $kinds = [
        'lesson_completed', 'check_attempted', 'practice_confirmed', 'assessment_concluded', 'statement_acknowledged',
        'signed_off', 'suspended', 'incident_hold', 'revoked', 'reinstated', 'machine_time', 'rehearsal_passed', 'familiarised',
    ];
    $true = (new DateTimeImmutable('2031-01-01T00:00:00Z'))->getTimestamp();
    $lines = [];
    $held = false;
    for ($left = $random->getInt(3, 25); $left > 0; $left--) {
        $true += $random->getInt(1, 200_000);
        $type = $kinds[$random->getInt(0, count($kinds) - 1)];
        $skew = $random->getInt(-86_400, 86_400);
        $lines[] = ['id' => "l$left", 'type' => $type, 'at' => gmdate('Y-m-d\TH:i:s\Z', $true + $skew), 'lesson' => 'L', 'check' => 'C',
            'passed' => true, 'minutes' => 10, 'rehearsal' => 'R', 'machine' => 'M'.$random->getInt(1, 2),
            'because' => Familiarity::BECAUSE[$random->getInt(0, 2)],
            'assessment' => 'A', 'outcome' => ['passed', 'passed', 'not_yet', 'stopped'][$random->getInt(0, 3)],
            'further_piece' => $random->getInt(0, 1) === 1, 'variant' => 'P'.$random->getInt(1, 2), 'statement_version' => 1,
            'valid_until' => '2032-01-01T00:00:00Z', 'scope' => [], 'true' => $true];
        $held = match ($type) {
            'suspended', 'incident_hold' => true,
            'reinstated' => false,
            default => $held,
        };
    }

    return [$lines, $held];
}

it('never lets a clock undo a hold: held by the sequence is held at any time of reading', function (): void {
    $random = of_the_day(20311);
    for ($n = 0; $n < histories(HISTORIES); $n++) {
        [$lines, $held] = history($random);
        if ($held) {
            // Read by a clock up to a day out too, just after the last line was written.
            $now = gmdate('Y-m-d\TH:i:s\Z', end($lines)['true'] + $random->getInt(-86_400, 86_400));
            expect(record($lines, $now)->suspended)->toBeTrue();
        }
    }
});

it('gives nothing by a date in the future, and takes at once', function (): void {
    $random = of_the_day(77);
    for ($n = 0; $n < histories(HISTORIES); $n++) {
        [$lines] = history($random);
        $now = gmdate('Y-m-d\TH:i:s\Z', end($lines)['true']);
        $all = record($lines, $now);
        // Leaving out what is dated later and gives must change nothing.
        $giving = array_values(
            array_filter(
                $lines,
                static fn (array $line): bool => $line['at'] <= $now || in_array(
                    $line['type'],
                    ['suspended', 'incident_hold', 'revoked'],
                    true,
                ) || ($line['type'] === 'assessment_concluded' && $line['outcome'] !== 'passed'),
            ),
        );
        expect(record($giving, $now))->toEqual($all);
    }
});

it('reads the same lines to the same record however often, and a repeat in another place is another line', function (): void {
    $random = of_the_day(5);
    for ($n = 0; $n < histories(2_000); $n++) {
        [$lines] = history($random);
        expect(record($lines))->toEqual(record($lines))
            ->and(record([...$lines, ['type' => 'incident_hold', 'at' => '2033-01-01T00:00:00Z']])->held())->toBeTrue();
    }
});

it('undoes with a correction exactly the line that it names', function (): void {
    $random = of_the_day(9);
    for ($n = 0; $n < histories(HISTORIES); $n++) {
        [$lines] = history($random);
        $named = $random->getInt(0, count($lines) - 1);
        $without = $lines;
        array_splice($without, $named, 1);
        $corrected = record([
            ...$lines,
            ['id' => 'c', 'type' => 'corrected', 'entry' => $lines[$named]['id'], 'at' => '2031-05-01T00:00:00Z'],
        ]);
        expect($corrected)->toEqual(record($without));
    }
});

it('takes a credit back at once, and a restriction only when its day has come', function (): void {
    $practice = ['id' => 'p', 'type' => 'practice_confirmed', 'minutes' => 30, 'at' => '2031-01-01T00:00:00Z'];
    $hold = ['id' => 'h', 'type' => 'incident_hold', 'at' => '2031-01-02T00:00:00Z'];
    $correct = static fn (string $id, string $entry, string $at): array => [
        'id' => $id,
        'type' => 'corrected',
        'entry' => $entry,
        'at' => $at,
    ];
    expect(record([$practice, $correct('c', 'p', '2031-06-02T00:00:00Z')])->practiceCount)->toBe(0)
        ->and(record([$hold, $correct('c', 'h', '2031-06-02T00:00:00Z')])->held())->toBeTrue()
        ->and(record([$hold, $correct('c', 'h', '2031-02-01T00:00:00Z')])->held())->toBeFalse()
        // What gives a credit back waits for its day; what brings a hold back does not.
        ->and(record([$practice, $correct('c', 'p', '2031-02-01T00:00:00Z'), $correct('d', 'c', '2031-06-02T00:00:00Z')])->practiceCount)
        ->toBe(0)
        ->and(record([$hold, $correct('c', 'h', '2031-02-01T00:00:00Z'), $correct('d', 'c', '2031-06-02T00:00:00Z')])->held())->toBeTrue();
});

it('is not led in circles by corrections that name each other', function (): void {
    $correct = static fn (string $id, string $entry): array => [
        'id' => $id,
        'type' => 'corrected',
        'entry' => $entry,
        'at' => '2031-07-01T00:00:00Z',
    ];
    expect(
        record([$correct('a', 'b'), $correct('b', 'a'), ['id' => 'h', 'type' => 'suspended', 'at' => '2031-01-02T00:00:00Z']])->held(),
    )->toBeTrue();
});

it('keeps what was signed: version, scope and end of the latest signature that is not corrected', function (): void {
    $sign = static fn (string $id, int $mm): array => [
        'id' => $id, 'type' => 'signed_off', 'at' => '2031-01-0'.$mm.'T00:00:00Z', 'statement_version' => 2,
        'valid_until' => '2031-12-31T00:00:00Z', 'scope' => ['max_diameter_mm' => $mm],
    ];
    $narrow = $sign('narrow', 6);
    $wide = $sign('wide', 9);
    $taken = ['id' => 'c', 'type' => 'corrected', 'entry' => 'wide', 'at' => '2031-02-01T00:00:00Z'];
    expect(record([$narrow, $wide])->signature->id)->toBe('wide')
        ->and(record([$narrow, $wide, $taken])->signature->id)->toBe('narrow')
        ->and(record([$narrow, $wide, $taken])->signature->scope->maxDiameter->inMm())->toBe(6.0);
});

it('counts an acknowledgement until the next signature uses it up', function (): void {
    $acknowledged = ['type' => 'statement_acknowledged', 'statement_version' => 3, 'at' => '2031-01-01T00:00:00Z'];
    $signed = ['type' => 'signed_off', 'statement_version' => 3, 'valid_until' => '2031-12-31T00:00:00Z', 'at' => '2031-01-02T00:00:00Z'];
    expect(record([$acknowledged])->acknowledged)->toBe(3)->and(record([$acknowledged, $signed])->acknowledged)->toBeNull();
});

it('does not refresh recency with minutes that nobody confirmed', function (): void {
    $time = static fn (string $day, bool $confirmed): array => [
        'type' => 'machine_time',
        'minutes' => 60,
        'confirmed' => $confirmed,
        'at' => "2031-01-{$day}T00:00:00Z",
    ];
    expect(record([$time('01', true), $time('20', false)]))->machineMinutes->toBe(120)->lastAtMachine->format('d')->toBe('01');
});

it('knows when each check was last passed; a failed one since does not move that', function (): void {
    $check = static fn (string $day, bool $passed): array => [
        'type' => 'check_attempted', 'check' => 'SC1', 'passed' => $passed, 'at' => "2031-01-{$day}T00:00:00Z",
    ];
    $record = record([$check('01', false), $check('02', true), $check('09', true), $check('12', false)]);
    expect($record->checksPassedAt['SC1']->format('d'))->toBe('09')->and($record->checks['SC1'])->toBeFalse()
        ->and(record([$check('01', false)])->checksPassedAt)->toBe([]);
});

it('refuses a payload of a version that it does not know, and a type that there is not', function (): void {
    foreach ([['v' => 2], ['type' => 'forgiven'], ['minutes' => null], ['minutes' => 'ten']] as $spoilt) {
        $line = [...['type' => 'practice_confirmed', 'minutes' => 10, 'at' => '2031-01-01T00:00:00Z'], ...$spoilt];
        expect(fn () => record([$line]))->toThrow(MillStep\Core\Border\InvalidInput::class);
    }
});

it('says from a fold that was kept and the lines after it what the whole ledger says, or says nothing', function (): void {
    $random = of_the_day(404);
    $said = $silent = 0;
    for ($n = 0; $n < histories(HISTORIES) / 4; $n++) {
        [$lines] = history($random);
        // Some lines are corrected, and some corrections are.
        for ($i = 1; $i < count($lines); $i++) {
            if ($random->getInt(0, 11) === 0) {
                $lines[$i]['type'] = 'corrected';
                $lines[$i]['entry'] = $lines[$random->getInt(0, $i - 1)]['id'];
            }
        }
        $cut = $random->getInt(0, count($lines));
        $ledger = static fn (array $of): Ledger => Ledger::fromFields(Fields::of(['ledger' => $of]));
        $then = new DateTimeImmutable('@'.($lines[max(0, $cut - 1)]['true'] + $random->getInt(-86_400, 86_400)));
        $now = new DateTimeImmutable('@'.(end($lines)['true'] + $random->getInt(-86_400, 86_400)));
        $folded = Folded::of($ledger(array_slice($lines, 0, $cut)), $then);
        // Written down and read again, as a database would.
        $folded = Folded::fromFields(Fields::of(json_decode((string) json_encode($folded->toArray()), true)));
        $place = $folded->last === null ? 0 : array_search($folded->last, array_column($lines, 'id'), true) + 1;
        $after = static function () use ($lines, $place): iterable {
            foreach (array_slice($lines, $place) as $line) {
                $fields = Fields::of($line);
                yield new Line($line['id'], $fields->instant('at'), Entries::read($fields));
            }
        };
        $record = $folded->recordWith($after(), $now);
        $record === null ? $silent++ : $said++;
        $record === null || expect($record)->toEqual($ledger($lines)->asOf($now));
        // Made again later of the same lines it is the same, whatever time has come meanwhile.
        $later = $then->modify('+3 days');
        expect(json_encode(Folded::of($ledger(array_slice($lines, 0, $place)), $later)->toArray()))->toBe(json_encode($folded->toArray()));
    }
    // Neither way is the rare one.
    expect($said)->toBeGreaterThan(histories(HISTORIES) / 20)->and($silent)->toBeGreaterThan(histories(HISTORIES) / 80);
});

it('is the shop\'s own: what takes away counts whatever its date, and in the order in which it was written', function (
    array $lines,
    string $field,
    mixed $expected,
): void {
    expect(record($lines, '2030-02-01T09:00:00Z')->{$field}())->toEqual($expected);
})->with([
    'a hold of tomorrow' => [[['id' => 'h', 'at' => '2030-03-01T09:00:00Z', 'type' => 'incident_hold']], 'held', true],
    'a hold whose correction is corrected tomorrow' => [[
        ['id' => 'h', 'at' => '2030-01-10T09:00:00Z', 'type' => 'incident_hold'],
        ['id' => 'c', 'at' => '2030-01-10T09:00:00Z', 'type' => 'corrected', 'entry' => 'h'],
        ['id' => 'd', 'at' => '2030-03-01T09:00:00Z', 'type' => 'corrected', 'entry' => 'c'],
    ], 'held', true],
    'a hold written after what would have lifted it' => [[
        ['id' => 'r', 'at' => '2030-01-10T09:00:00Z', 'type' => 'reinstated'],
        ['id' => 'h', 'at' => '2030-01-09T09:00:00Z', 'type' => 'incident_hold'],
    ], 'held', true],
]);

it('is read as an account is: by its dates, and nothing of it before it happened', function (): void {
    $account = static fn (array $lines): bool => Ledger::history(Fields::of(['ledger' => $lines]))
        ->asOf(new DateTimeImmutable('2030-02-01T09:00:00Z'))->held();
    expect($account([['at' => '2030-03-01T09:00:00Z', 'type' => 'incident_hold']]))->toBeFalse()
        ->and($account([['at' => '2030-02-01T09:00:00Z', 'type' => 'incident_hold']]))->toBeTrue()
        ->and($account([
            ['at' => '2030-01-10T09:00:00Z', 'type' => 'reinstated'], ['at' => '2030-01-09T09:00:00Z', 'type' => 'incident_hold'],
        ]))->toBeFalse();
});

it('learns nothing of a stage from what is only on record: a sheet opened, stopped, put away, answered, appealed', function (): void {
    $random = of_the_day(20_321);
    $onRecord = array_keys(array_filter(Entries::KINDS, static fn (string $kind): bool => in_array(
        ChangesNoStage::class, class_uses($kind), true,
    )));
    expect($onRecord)->toContain('sheet_opened', 'sheet_put_away', 'appeal_answered');
    $more = ['attempt' => 'T', 'criterion' => 'K', 'because' => 'time', 'marks' => 1, 'agrees' => false, 'answer' => 'try_again',
        'count' => 1, 'what' => ['stop', 'first_aid'], 'place' => 'press', 'hash' => 'h', 'seq' => 1, 'hash_of_text' => 'h',
        'left' => 'l', 'kind' => 'other', 'how' => 'seat'];
    for ($n = 0; $n < histories(2_000); $n++) {
        [$lines] = history($random);
        $with = $lines;
        for ($each = 1; $each <= 4; $each++) {
            $one = [...$lines[0], ...$more, 'id' => "on$each", 'type' => $onRecord[$random->getInt(0, count($onRecord) - 1)]];
            array_splice($with, $random->getInt(0, count($with)), 0, [$one]);
        }
        $now = gmdate('Y-m-d\TH:i:s\Z', end($lines)['true'] + 86_400);
        expect(record($with, $now))->toEqual(record($lines, $now));
    }
});

it('takes a sheet for passed while one of its pieces is, and after a stop for none', function (array $outcomes, string $comes): void {
    $lines = [];
    foreach ($outcomes as $n => $said) {
        [$piece, $outcome] = explode(' ', $said);
        $lines[] = ['type' => 'assessment_concluded', 'at' => "2031-01-0{$n}T10:00:00Z", 'assessment' => 'A', 'outcome' => $outcome,
            'variant' => $piece, 'further_piece' => $piece !== 'first'];
    }
    expect(record($lines)->assessments)->toBe(['A' => $comes]);
})->with([
    'one that is passed' => [[1 => 'first passed'], 'passed'],
    'the latest on a piece counts' => [[1 => 'first passed', 2 => 'first not_yet'], 'not_yet'],
    'a further one that is not passed takes nothing' => [[1 => 'first passed', 2 => 'brass not_yet'], 'passed'],
    'nor does the first, where a further one is passed' => [[1 => 'brass passed', 2 => 'first not_yet'], 'passed'],
    'a stop takes all' => [[1 => 'first passed', 2 => 'brass stopped'], 'stopped'],
    'and they stay taken' => [[1 => 'first passed', 2 => 'brass stopped', 3 => 'brass not_yet'], 'not_yet'],
    'until one is passed anew' => [[1 => 'first passed', 2 => 'brass stopped', 3 => 'brass passed'], 'passed'],
]);
