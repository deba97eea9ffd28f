<?php

declare(strict_types=1);

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\Reading;
use MillStep\Core\Measure\Size;

it('is exact for the shop\'s grids', function (): void {
    $sum = Length::zero();
    for ($i = 0; $i < 64; $i++) {
        $sum = $sum->plus(Length::inchFraction(1, 64));
    }
    expect($sum->compareExactly(Length::mmDecimal('25.4')))->toBe(0);
    expect(Length::inchDecimal('0.0001')->times(10_000)->compareExactly(Length::inchFraction(1, 1)))->toBe(0);
    expect(Length::mmDecimal('0.001')->times(1_000)->compareExactly(Length::mm(1)))->toBe(0);
});

it('treats half a thousandth as equal, and no more', function (): void {
    $ten = Length::mm(10);
    expect($ten->equals(Length::mm(10.0005)))->toBeTrue()
        ->and($ten->equals(Length::mm(10.00051)))->toBeFalse()
        ->and($ten->isLessThan(Length::mm(10.0005)))->toBeFalse()
        ->and($ten->isLessThan(Length::mm(10.00051)))->toBeTrue()
        ->and($ten->isAtMost(Length::mm(9.9995)))->toBeTrue()
        ->and($ten->isAtLeast(Length::mm(10.0005)))->toBeTrue();
});

it('refuses what is over a kilometre, sums too', function (): void {
    expect(fn () => Length::mm(1.1e6))->toThrow(DomainException::class)
        ->and(fn () => Length::mm(9e5)->plus(Length::mm(9e5)))->toThrow(DomainException::class)
        ->and(fn () => Length::mm(NAN))->toThrow(DomainException::class)
        ->and(fn () => Length::mm(1e6)->times(1_000_000))->toThrow(DomainException::class);
});

it('reads every name of a size as the same length', function (string $said, float $mm, string $designation): void {
    $size = Size::parse($said);
    expect($size->diameter->inMm())->toEqualWithDelta($mm, 1e-9)->and($size->designation)->toBe($designation);
})->with([
    ['3/8', 9.525, '3/8'], [' 12/16 ', 19.05, '3/4'], ['1 1/4 in', 31.75, '1-1/4'], ['9/8"', 28.575, '1-1/8'],
    ['#7', 5.1054, '#7'], ['NO. 7', 5.1054, '#7'], ['f', 6.5278, 'F'], ['Letter F', 6.5278, 'F'],
    ['15 thou', 0.381, '0.015 in'], ['.201"', 5.1054, '0.201 in'], ['0.2055 INCH', 5.2197, '0.2055 in'],
    ['6,80 mm', 6.8, '6.8'], ['6.8', 6.8, '6.8'], ['100', 100.0, '100'],
]);

it('refuses what is no size', function (string $said): void {
    expect(compute('parse_size', ['text' => $said])['error'])->toMatchArray(['code' => 'invalid_input', 'field' => 'text']);
})->with(['', '#0', '#81', '3/7', '3/128', '0', '0/4', '-6', '100.001', '6.8.1', 'AA', '1e3', '6 mm mm', '١٢']);

it('writes every table size so that it reads back the same', function (): void {
    foreach (range(1, 80) as $number) {
        $size = Size::parse("#$number");
        expect(Size::parse($size->designation)->diameter->equals($size->diameter))->toBeTrue();
    }
    foreach (range(1, 64) as $sixtyFourths) {
        $size = Size::parse("$sixtyFourths/64");
        expect(Size::parse($size->designation.'"')->diameter->compareExactly($size->diameter))->toBe(0);
    }
});

it('reads an instrument: zero, and a sign where one may stand', function (): void {
    expect(Reading::parse('0')->inMm())->toBe(0.0)
        ->and(Reading::parse('-0.08', 'mm', signed: true)->inMm())->toBe(-0.08)
        ->and(Reading::parse('.002', 'in', signed: true)->inMm())->toEqualWithDelta(0.0508, 1e-12)
        ->and(fn () => Reading::parse('-0.08'))->toThrow(MillStep\Core\Border\InvalidInput::class);
});

it('reads stock as sizes are written, up to ten metres', function (): void {
    expect(Size::length('3-1/2', 'in')->diameter->inMm())->toBe(88.9)
        ->and(Size::length('10000')->diameter->inMm())->toBe(10000.0)
        ->and(fn () => Size::length('10001'))->toThrow(InvalidInput::class, 'measure.size.too_long')
        ->and(fn () => Size::length('about so'))->toThrow(InvalidInput::class);
});
