<?php

declare(strict_types=1);

use MillStep\Core\Learning\Check\Analysis\ItemAnalysis;
use MillStep\Core\Learning\Check\Analysis\ItemAnswer;
use MillStep\Core\Learning\Check\Analysis\ItemVerdict;

/** @return array<string, ItemAnswer> a paper, a letter a question: capital where it was right */
function answered(string $letters, string $wrongly = 'b'): array
{
    $answers = [];
    foreach (str_split($letters) as $letter) {
        $right = ctype_upper($letter);
        $answers[strtolower($letter)] = new ItemAnswer($right, [$right ? 'a' : $wrongly]);
    }

    return $answers;
}

it('counts who knew it and what was chosen instead', function (): void {
    $figures = ItemAnalysis::of([answered('ABC'), answered('aBC', 'x'), answered('aBc', 'y'), answered('abc', 'y')]);
    expect($figures['a'])->asked->toBe(4)->right->toBe(1)->success->toBe(0.25)->wrong->toBe(['y' => 2, 'x' => 1])
        ->verdict->toBe(ItemVerdict::TooFew);
});

it('holds a question against the rest of its papers, itself left out', function (): void {
    // By hand: a is right on 4 of 8; the rest is 1, 1, 1, 0.5 there and 0.5, 0, 0, 0 elsewhere. Means 0.5 and 0.5;
    // together 4 × 0.5 × 0.375 × 2 = 1.5; spreads 2 and 1.5: 1.5 / √3 = 0.8660.
    $papers = [answered('ABC'), answered('ABC'), answered('ABC'), answered('ABc'), answered('abC'), answered('abc'), answered('abc'),
        answered('abc')];
    expect(ItemAnalysis::of($papers)['a']->correlation)->toEqualWithDelta(0.8660, 0.0001)
        ->and(ItemAnalysis::of($papers)['a']->verdict)->toBe(ItemVerdict::Tells);
});

it('marks the question that misleads those who know most, and puts it first', function (): void {
    $papers = [...array_fill(0, 4, answered('aBCD')), ...array_fill(0, 4, answered('Abcd'))];
    $figures = ItemAnalysis::of($papers);
    expect($figures['a']->verdict)->toBe(ItemVerdict::Misleads)->and($figures['a']->correlation)->toEqualWithDelta(-1.0, 1e-9)
        ->and(array_key_first($figures))->toBe('a');
});

it('says of a question that all know, or none, only that', function (): void {
    $papers = array_fill(0, 8, answered('Ab'));
    expect(ItemAnalysis::of($papers)['a']->verdict)->toBe(ItemVerdict::AllRight)
        ->and(ItemAnalysis::of($papers)['b']->verdict)->toBe(ItemVerdict::NoneRight)
        ->and(ItemAnalysis::of($papers)['a']->correlation)->toBeNull();
});

it('says little of papers with one question, and nothing of none', function (): void {
    $figures = ItemAnalysis::of([...array_fill(0, 5, answered('A')), ...array_fill(0, 5, answered('a'))]);
    expect($figures['a']->correlation)->toBeNull()->and($figures['a']->verdict)->toBe(ItemVerdict::TellsLittle)
        ->and(ItemAnalysis::of([]))->toBe([]);
});

it('keeps its correlation between minus one and one', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(5));
    foreach (range(1, 100) as $round) {
        $papers = array_map(static fn (): array => answered(implode('', array_map(
            static fn (string $letter): string => $random->getInt(0, 1) === 1 ? strtoupper($letter) : $letter,
            ['a', 'b', 'c', 'd'],
        ))), range(1, 12));
        foreach (ItemAnalysis::of($papers) as $figures) {
            expect(abs($figures->correlation ?? 0.0))->toBeLessThanOrEqual(1.0)->and($figures->asked)->toBe(12);
        }
    }
});
