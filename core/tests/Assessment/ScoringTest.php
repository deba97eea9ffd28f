<?php

declare(strict_types=1);

use MillStep\Core\Assessment\AgreementMeaning;
use MillStep\Core\Assessment\Appeal;
use MillStep\Core\Assessment\AssessorsAgree;
use MillStep\Core\Assessment\Candidate;
use MillStep\Core\Assessment\Criterion;
use MillStep\Core\Assessment\Leaning;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\Personal;
use MillStep\Core\Assessment\PutAwayBecause;
use MillStep\Core\Assessment\Queue;
use MillStep\Core\Assessment\Retake;
use MillStep\Core\Assessment\ScoreAssessment;
use MillStep\Core\Assessment\Slip;
use MillStep\Core\Assessment\Task;
use MillStep\Core\Assessment\TryEnded;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return list<array<string, mixed>> a sheet, all of it filled in, the same for a seed */
function filled_sheet(int $seed): array
{
    $random = new Randomizer(new Mt19937($seed));
    $one = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];

    return array_map(static fn (int $index): array => [
        'id' => "c$index", 'weight' => $random->getInt(1, 5), 'critical' => $random->getInt(0, 3) === 0,
        'critical_prompt_stops' => $random->getInt(0, 1) === 1,
        ...match ($one(['observed', 'judged', 'measured'])) {
            'observed' => ['kind' => 'observed', 'result' => $one(['met', 'prompted', 'not_met', 'not_seen'])],
            'judged' => ['kind' => 'judged', 'scale_max' => 4, 'result' => $random->getInt(0, 4)],
            default => ['kind' => 'measured', 'verdict' => $one(['in', 'out', 'doubtful'])],
        },
    ], range(1, $random->getInt(2, 12)));
}

/** @param  list<array<string, mixed>>  $criteria */
function scored(array $criteria): array
{
    return compute('score_assessment', ['criteria' => $criteria, 'pass_mark_percent' => 80]);
}

const BETTER = ['not_seen' => 'not_met', 'not_met' => 'prompted', 'prompted' => 'met', 'out' => 'in', 'doubtful' => 'in'];

it('never comes lower for a criterion that is better', function (): void {
    $rank = ['stopped' => 0, 'incomplete' => 1, 'not_yet' => 2, 'passed' => 3];
    foreach (range(1, 300) as $seed) {
        $criteria = filled_sheet($seed);
        $before = scored($criteria);
        foreach ($criteria as $index => $criterion) {
            $key = isset($criterion['verdict']) ? 'verdict' : 'result';
            $now = $criterion[$key];
            $better = is_int($now) ? min(4, $now + 1) : (BETTER[$now] ?? $now);
            // What was not seen may have been anything: it is no better than what was seen.
            if ($now === 'not_seen' || $now === 'doubtful') {
                continue;
            }
            $after = scored(array_replace($criteria, [$index => [...$criterion, $key => $better]]));
            expect($after['score_percent'])->toBeGreaterThanOrEqual($before['score_percent'])
                ->and($rank[$after['outcome']])->toBeGreaterThanOrEqual($rank[$before['outcome']]);
        }
    }
});

it('stops for whatever stops, whatever else was found', function (): void {
    foreach (range(1, 200) as $seed) {
        $criteria = filled_sheet($seed);
        foreach ([['kind' => 'observed', 'result' => 'not_met'], ['kind' => 'judged', 'scale_max' => 3, 'result' => 0]] as $slip) {
            $found = scored([...$criteria, ['id' => 'slip', 'weight' => 1, 'critical' => true, ...$slip]]);
            expect($found['outcome'])->toBe('stopped')->and($found['stopped_by'])->toContain('slip');
        }
    }
});

it('never passes with a critical measurement that is out', function (): void {
    foreach (range(1, 200) as $seed) {
        $out = ['id' => 'out', 'kind' => 'measured', 'weight' => 1, 'critical' => true, 'verdict' => 'out'];
        expect(scored([...filled_sheet($seed), $out])['outcome'])->not->toBe('passed');
    }
});

it('says of every point that is missing where it went', function (): void {
    foreach (range(1, 200) as $seed) {
        $criteria = filled_sheet($seed);
        $losses = ScoreAssessment::fromFields(Fields::of(['criteria' => $criteria, 'pass_mark_percent' => 80]))->losses();
        $lost = array_sum(array_map(static fn ($loss): float => $loss->points, $losses));
        // Each is rounded to a tenth of a point, and so is the score.
        expect($lost)->toEqualWithDelta(100 - scored($criteria)['score_percent'], 0.05 * (count($losses) + 1) + 1e-9);
    }
});

it('agrees with published kappas', function (array $table, array $categories, string $scale, float $kappa): void {
    $pairs = [];
    foreach ($table as $a => $row) {
        foreach ($row as $b => $count) {
            array_push($pairs, ...array_fill(0, $count, ['a' => $categories[$a], 'b' => $categories[$b]]));
        }
    }
    expect(compute('assessor_agreement', ['categories' => $categories, 'scale' => $scale, 'pairs' => $pairs])['kappa'])
        ->toEqualWithDelta($kappa, 0.0005);
})->with([
    // Cohen 1960, table 1, proportions of two hundred: observed .70, expected .41.
    'Cohen 1960' => [[[88, 14, 18], [10, 40, 10], [2, 6, 12]], ['personality disorder', 'neurosis', 'psychosis'], 'nominal', 0.4915],
    // A yes and no of fifty: 20 and 15 together, 5 and 10 apart; observed .70, expected .50.
    'two by two' => [[[20, 5], [10, 15]], ['yes', 'no'], 'nominal', 0.4],
]);

it('finds the same agreement whoever is called first', function (): void {
    $random = new Randomizer(new Mt19937(7));
    $verdicts = ['met', 'prompted', 'not_met'];
    foreach (range(1, 60) as $ignored) {
        $pairs = array_map(static fn (): array => [
            'a' => $verdicts[$random->getInt(0, 2)], 'b' => $verdicts[$random->getInt(0, 2)],
        ], range(1, $random->getInt(1, 30)));
        $turned = array_map(static fn (array $pair): array => ['a' => $pair['b'], 'b' => $pair['a']], $pairs);
        $ask = static fn (array $of): array => compute('assessor_agreement', [
            'categories' => $verdicts, 'scale' => 'ordered', 'pairs' => $of,
        ]);
        expect($ask($pairs))->toEqual($ask($turned));
    }
});

it('draws everybody their own dimensions, the same for a seed, whole steps inside the range', function (): void {
    $dimension = static fn (string $id, float $to): Fields => Fields::of(['id' => $id, 'from_mm' => 4, 'to_mm' => $to, 'step_mm' => 0.5]);
    $personal = Personal::of([$dimension('thick', 8), $dimension('long', 20)]);
    $turned = Personal::of([$dimension('long', 20), $dimension('thick', 8)]);
    $seen = [];
    foreach (range(1, 200) as $seed) {
        $drawn = array_map(static fn ($length): float => $length->inMm(), $personal->draw($seed));
        expect($drawn)->toEqual(array_map(static fn ($length): float => $length->inMm(), $turned->draw($seed)))
            ->and(fmod($drawn['thick'] * 2, 1.0))->toEqualWithDelta(0, 1e-9)
            ->and($drawn['thick'])->toBeGreaterThanOrEqual(4)->toBeLessThanOrEqual(8);
        $seen[(string) $drawn['thick']] = true;
    }
    expect($seen)->toHaveCount(9)
        ->and(fn () => Personal::of([Fields::of(['id' => 'a', 'from_mm' => 4, 'to_mm' => 5, 'step_mm' => 0.3])]))
        ->toThrow(CoreException::class);
});

it('has the key of a task from the core', function (): void {
    $task = Task::fromFields(Fields::of([
        'id' => 'move', 'operation' => 'dial_move', 'given' => [
            'graduation_mm' => 0.05, 'divisions_per_turn' => 100, 'reads_diameter' => false, 'rounding' => 'nearest',
        ],
        'from' => ['travel_mm' => 'thick'], 'answer' => 'divisions', 'unit' => 'number', 'tolerance' => 0.5,
    ]));
    $personal = Personal::of([Fields::of(['id' => 'thick', 'from_mm' => 4, 'to_mm' => 8, 'step_mm' => 0.5])])->draw(3);
    $key = $task->key($personal);
    expect($key)->toBeGreaterThan(0)
        ->and($task->isRight((string) $key, $personal, 'mm'))->toBeTrue()
        ->and($task->isRight((string) ($key + 1), $personal, 'mm'))->toBeFalse()
        ->and(fn () => $task->isRight('lots', $personal, 'mm'))->toThrow(CoreException::class);
});

it('lets a sheet be tried again after its wait and its exercises', function (): void {
    $at = static fn (string $time): DateTimeImmutable => new DateTimeImmutable("2030-05-01T$time:00Z");
    $retake = new Retake(2, 1);
    $ended = static fn (Outcome $outcome): TryEnded => TryEnded::concluded($outcome, $at('10:00'));
    expect($retake->waitsUntil($ended(Outcome::NotYet), $at('11:59')))->toEqual($at('12:00'))
        ->and($retake->waitsUntil(TryEnded::putAway($at('10:00')), $at('11:59')))->toEqual($at('12:00'))
        ->and($retake->waitsUntil($ended(Outcome::Stopped), $at('12:00')))->toBeNull()
        ->and($retake->waitsUntil($ended(Outcome::Passed), $at('10:01')))->toBeNull()
        ->and($retake->waitsUntil($ended(Outcome::Stopped)->forgiven(), $at('10:01')))->toBeNull()
        ->and($retake->exercisesMissing($ended(Outcome::NotYet), 0))->toBe(1)
        ->and($retake->exercisesMissing($ended(Outcome::NotYet), 3))->toBe(0)
        ->and($retake->exercisesMissing(TryEnded::putAway($at('10:00')), 0))->toBe(1)
        ->and($retake->exercisesMissing($ended(Outcome::Passed), 0))->toBe(0)
        ->and($retake->exercisesMissing($ended(Outcome::NotYet)->forgiven(), 0))->toBe(0);
});

it('puts a sheet with marks away only in somebody\'s own words', function (): void {
    expect(PutAwayBecause::OpenedByMistake->isSaid('', 0))->toBeTrue()
        ->and(PutAwayBecause::Other->isSaid('', 0))->toBeFalse()
        ->and(PutAwayBecause::OpenedByMistake->isSaid('123456789', 1))->toBeFalse()
        ->and(PutAwayBecause::OpenedByMistake->isSaid('a         b', 1))->toBeFalse()
        ->and(PutAwayBecause::Machine->isSaid('belt slips', 1))->toBeTrue();
});

it('lets an outcome be looked at again for fourteen days', function (): void {
    $concluded = new DateTimeImmutable('2030-05-01T10:00:00Z');
    expect(Appeal::isInTime($concluded, $concluded->modify('+14 days')))->toBeTrue()
        ->and(Appeal::isInTime($concluded, $concluded->modify('+14 days +1 second')))->toBeFalse();
});

it('lets first in whose machine is free, then who is held up most, then who has waited longest', function (): void {
    $one = static fn (string $id, int $day, int $blocks, ?bool $free): Candidate => new Candidate(
        $id, new DateTimeImmutable("2030-05-0{$day}T08:00:00Z"), $blocks, $free,
    );
    $order = Queue::order([
        $one('taken', 1, 3, false), $one('late', 4, 0, true), $one('early', 2, 0, true), $one('blocks', 5, 2, true),
        $one('bench', 3, 0, null),
    ]);
    expect(array_column($order, 'id'))->toBe(['blocks', 'early', 'bench', 'late', 'taken'])
        ->and(array_map(static fn ($message): string => $message->code, $order[0]->reasons(new DateTimeImmutable('2030-05-07T09:00:00Z'))))
        ->toBe(['assessment.queue.machine_free', 'assessment.queue.blocks', 'assessment.queue.waits']);
});

it('stops on what it would be scored as a stop for, and on nothing else', function (): void {
    $observed = ['id' => 'a', 'kind' => 'observed', 'weight' => 1];
    $on = static fn (array $more): array => Criterion::stopsOn(Fields::of([...$observed, ...$more]));
    expect($on(['critical' => true]))->toBe(['not_met'])
        ->and($on(['critical' => true, 'critical_prompt_stops' => true]))->toEqualCanonicalizing(['prompted', 'not_met'])
        ->and($on(['critical' => false, 'critical_prompt_stops' => true]))->toBe([])
        ->and($on(['kind' => 'judged', 'scale_max' => 3, 'critical' => true]))->toBe([0])
        ->and($on(['kind' => 'measured', 'critical' => true]))->toBe([]);
});

it('takes a slip back for ten seconds, and never by what was made before it', function (float $after, bool $slip): void {
    $made = new DateTimeImmutable('2030-05-01T10:00:00.250Z');
    expect(Slip::mayBe($made, $made->modify(sprintf('%+d milliseconds', 1000 * $after))))->toBe($slip);
})->with([[0, true], [9.9, true], [10, true], [10.1, false], [-0.9, true], [-1, false], [-3600, false]]);

it('names the measurement that keeps a sheet from passing', function (): void {
    $found = scored([
        ['id' => 'a', 'kind' => 'observed', 'weight' => 99, 'result' => 'met'],
        ['id' => 'b', 'kind' => 'measured', 'weight' => 1, 'critical' => true, 'verdict' => 'out'],
    ]);
    expect($found)->toMatchArray(['outcome' => 'not_yet', 'score_percent' => 99, 'failed_by' => ['b']]);
});

it('calls nobody strict or lenient for a few verdicts, nor two assessors apart', function (): void {
    expect(Leaning::of(95, 90))->toBe(Leaning::Alike)->and(Leaning::of(96, 90))->toBe(Leaning::Lenient)
        ->and(Leaning::of(84, 90))->toBe(Leaning::Strict);
    $agree = static fn (int $count, float $percent): bool => (new AssessorsAgree(
        $count, $percent, null, null, null, AgreementMeaning::Undetermined,
    ))->isApart();
    expect($agree(2, 0))->toBeFalse()->and($agree(3, 66.7))->toBeTrue()->and($agree(10, 80))->toBeFalse();
});
