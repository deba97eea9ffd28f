<?php

declare(strict_types=1);

use MillStep\Core\Border\CoreException;
use MillStep\Core\Measure\FittedSize;
use MillStep\Core\Measure\Size;
use MillStep\Core\Reference\ThreadTable;

function saidBack(Closure $understand): string
{
    try {
        return $understand();
    } catch (CoreException $fault) {
        return $fault->says->code;
    }
}

it('takes a size as people write and say it', function (string $said, float $mm): void {
    expect(Size::length($said)->diameter->inMm())->toEqualWithDelta($mm, 1e-9);
})->with([
    ['half inch', 12.7], ['half an inch', 12.7], ['Half', 12.7], ['a quarter inch', 6.35], ['quarter', 6.35],
    ['three eighths', 9.525], ['five sixteenths of an inch', 7.9375], ['one and a half inches', 38.1], ['1 and 1/4', 31.75],
    ['5 16ths', 7.9375], ['media pulgada', 12.7], ['tres octavos de pulgada', 9.525], ['una y media pulgadas', 38.1],
    ['⌀6', 6.0], ['Ø 6.8', 6.8], ['ø6,8 mm', 6.8], ['dia 6', 6.0],
    ['6.8 dia.', 6.8], ['#7 drill', 5.1054], ['drill F', 6.5278], ['F drill bit', 6.5278],
    ['letter F', 6.5278], ['letra f', 6.5278], ['broca 6,8', 6.8], ['N.º 7', 5.1054], ['no 7', 5.1054], ['1/4"', 6.35],
    ['1/4”', 6.35], ['½', 12.7], ['1½"', 38.1], ['1 ½ in', 38.1], ['¼ inch', 6.35], ['6.8 millimetres', 6.8], ['2 pulgadas', 50.8],
    ['15 milésimas', 0.381], ['3 cm', 30.0], ['2.5 m', 2500.0], ['6 ft', 1828.8], ["6'", 1828.8], ['12 inches', 304.8], ['A', 5.9436],
]);

it('says what was meant where a size is asked for and something else is written', function (string $said, string $code): void {
    expect(saidBack(fn () => (string) Size::parse($said)->diameter->inMm()))->toBe("measure.size.$code");
})->with([
    ['M8', 'thread'], ['M8-1.25', 'thread'], ['1/4"-20 UNC', 'thread'], ['1/4 20', 'thread'], ['8-32', 'thread'],
    ['6.8 +0.1', 'with_tolerance'], ['6.8 ±0.05', 'with_tolerance'], ['6.8 +0.1/-0', 'with_tolerance'], ['6.8 +/- 0.1', 'with_tolerance'],
    ['8H7', 'with_fit'], ['8 G6', 'with_fit'], ['8 g6', 'with_fit'],
    ['3/7', 'no_fraction'], ['3/128', 'no_fraction'], ['#81', 'no_number'], ['#0', 'no_number'],
    ['20 x 30', 'two'], ['6 × 12 mm', 'two'], ['six', 'unknown'],
    ['drill', 'unknown'], ['and', 'unknown'], ['', 'empty'], ['and a half', 'unknown'], ['a bit', 'unknown'],
    ["6\0 7", 'unknown'], [str_repeat('6', 41), 'unknown'],
]);

it('takes a hole with the class of its limits', function (string $said, float $mm, ?string $fit): void {
    $hole = FittedSize::parse($said);
    expect($hole->size->diameter->inMm())->toEqualWithDelta($mm, 1e-9)->and($hole->fit)->toBe($fit)
        ->and($hole->limits === null)->toBe($fit === null);
})->with([
    ['8 H7', 8.0, 'H7'], ['8H7', 8.0, 'H7'], ['3/8 H8', 9.525, 'H8'], ['8', 8.0, null], ['⌀10 H7', 10.0, 'H7'],
    ['half inch H7', 12.7, 'H7'], ['1/2"H7', 12.7, 'H7'], ['F', 6.5278, null], ['#7', 5.1054, null],
]);

it('does not take the class of a shaft for a hole', function (string $said): void {
    expect(saidBack(fn () => FittedSize::parse($said)->fit ?? ''))->toBe('measure.size.shaft_fit');
})->with(['8 h7', '8h6', '3/8 g6']);

it('takes a thread as people write it', function (string $said, string $thread): void {
    expect(ThreadTable::shipped()->get($said)->designation)->toBe($thread);
})->with([
    ['M8', 'M8x1.25'], ['m8', 'M8x1.25'], ['M8-1.25', 'M8x1.25'], ['M8 x 1.25', 'M8x1.25'], ['M8×1,25', 'M8x1.25'], ['M8 1.25', 'M8x1.25'],
    ['M8x1.25-6H', 'M8x1.25'], ['M8-6H', 'M8x1.25'], ['M6x1.0', 'M6x1'], ['M10x1', 'M10x1'], ['M2.5', 'M2.5x0.45'],
    ['M10*1.25', 'M10x1.25'], ['1/4-20', '1/4-20 UNC'], ['1/4"-20 UNC', '1/4-20 UNC'], ['1/4 20', '1/4-20 UNC'],
    ['1/4 in-20', '1/4-20 UNC'],
    ['1/4”-20', '1/4-20 UNC'], ['1/4-20UNC-2B', '1/4-20 UNC'], ['1/4-28 UNF 2B', '1/4-28 UNF'], ['1/4 - 20 tpi', '1/4-20 UNC'],
    ['#8-32', '#8-32 UNC'], ['8-32', '#8-32 UNC'], ['8 32', '#8-32 UNC'], ['No. 8-32', '#8-32 UNC'], ['10-32 UNF', '#10-32 UNF'],
    ['1-8', '1-8 UNC'], ['1"-8', '1-8 UNC'], ['1-12 UNF', '1-12 UNF'], ['#10 24', '#10-24 UNC'], ['3/8-16 tap', '3/8-16 UNC'],
]);

it('asks which thread was meant, and never takes a guess', function (string $said, array $choices): void {
    try {
        ThreadTable::shipped()->get($said);
        $asked = null;
    } catch (CoreException $fault) {
        $terms = $fault->says->terms['choices'] ?? [];
        $asked = is_string($terms) ? [$terms] : ($terms->terms['list'] ?? []);
    }
    expect($asked)->toBe($choices);
})->with([
    ['8', ['M8x1.25', 'M8x1', '#8-32 UNC', '#8-36 UNF']], ['1/4', ['1/4-20 UNC', '1/4-28 UNF']], ['#8', ['#8-32 UNC', '#8-36 UNF']],
    ['M8x1.5', ['M8x1.25', 'M8x1']], ['1/4-20 UNF', ['1/4-20 UNC', '1/4-28 UNF']], ['8 mm', ['M8x1.25', 'M8x1', '#8-32 UNC', '#8-36 UNF']],
    ['1/4-16', ['1/4-20 UNC', '1/4-28 UNF']], ['M99', []], ['M1', []], ['1-1/4', []], ['1', ['1-8 UNC', '1-12 UNF']],
    ['', []], ['about so', []], [str_repeat('8', 50), []],
]);
