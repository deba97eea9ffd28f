<?php

declare(strict_types=1);

use MillStep\Core\Learning\Memory\Memory;
use MillStep\Core\Learning\Memory\MemoryState;
use MillStep\Core\Learning\Memory\Review;

/** @param  list<array{float, bool}>  $reviews  days after the first of January, and whether it was known */
function remembered(array $reviews, float $nowDays, float $target = 0.9): Memory
{
    $at = static fn (float $days): DateTimeImmutable => (new DateTimeImmutable('2031-01-01T00:00:00Z'))
        ->modify('+'.(int) round($days * 86_400).' seconds');

    return (new MemoryState(
        array_map(static fn (array $one): Review => new Review($at($one[0]), $one[1]), $reviews),
        $at($nowDays),
        $target,
    ))->compute();
}

it('fades as time goes by, and never leaves 0 to 1', function (): void {
    $before = 1.0;
    foreach ([0, 0.5, 1, 3, 10, 100, 1000, 100_000] as $days) {
        $recall = remembered([[0, true]], $days)->recall;
        expect($recall)->toBeLessThanOrEqual($before)->toBeGreaterThan(0.0);
        $before = $recall;
    }
});

it('stands at the target when it falls due, whatever was answered', function (): void {
    foreach ([0.7, 0.8, 0.9, 0.95] as $target) {
        foreach ([[[0, true]], [[0, false]], [[0, true], [5, true]], [[0, true], [5, false], [6, true]]] as $reviews) {
            $last = end($reviews)[0];
            $due = remembered($reviews, $last, $target)->dueAt;
            $days = ((float) $due->format('U') - (float) (new DateTimeImmutable('2031-01-01T00:00:00Z'))->format('U')) / 86_400;
            $at = remembered($reviews, $days, $target);
            expect(abs($at->recall - $target))->toBeLessThan(0.0001)->and($at->due)->toBeTrue();
        }
    }
});

it('holds longer after a right answer than after a wrong one, and a right one never shortens it', function (): void {
    foreach ([0.1, 1, 4, 20, 200] as $later) {
        $first = remembered([[0, true]], $later)->stabilityDays;
        $right = remembered([[0, true], [$later, true]], $later)->stabilityDays;
        $wrong = remembered([[0, true], [$later, false]], $later)->stabilityDays;
        expect($right)->toBeGreaterThanOrEqual($first)->and($wrong)->toBeLessThanOrEqual($first);
    }
});

it('does not count what comes after now, nor mind the order in which it is told', function (): void {
    $told = [[3, false], [0, true], [9, true], [40, true]];
    $sorted = [[0, true], [3, false], [9, true]];
    expect(remembered($told, 20)->toArray())->toBe(remembered($sorted, 20)->toArray());
});

it('stays a number however often it was wrong, or how seldom asked', function (): void {
    $wrong = array_map(static fn (int $n): array => [$n / 86_400, false], range(0, 3000));
    expect(remembered($wrong, 1))->recall->toBeGreaterThan(0.0)->stabilityDays->toBeGreaterThan(0.0)->due->toBeTrue();
    $right = array_map(static fn (int $n): array => [$n * 400, true], range(0, 40));
    expect(remembered($right, 16_000)->dueAt->format('Y'))->toBeLessThanOrEqual('9999');
});
