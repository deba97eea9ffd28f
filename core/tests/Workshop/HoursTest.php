<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Policy\Hours;

/** @param  list<array{days: list<int>, from: string, to: string}>  $spans */
function hours(array $spans, string $zone = 'Europe/Dublin'): Hours
{
    return Hours::fromFields(Fields::of(['hours' => $spans, 'time_zone' => $zone]));
}

it('is open from the first minute to before the last, on its days', function (string $at, bool $open): void {
    // 2031-05-02 is a Friday; Dublin is an hour ahead of UTC in summer.
    expect(hours([['days' => [5], 'from' => '08:00', 'to' => '16:30']])->openAt(new DateTimeImmutable($at)))->toBe($open);
})->with([
    ['2031-05-02T06:59:59Z', false],
    ['2031-05-02T07:00:00Z', true],
    ['2031-05-02T15:29:59Z', true],
    ['2031-05-02T15:30:00Z', false],
    ['2031-05-01T10:00:00Z', false],
]);

it('works over midnight, and belongs to the day on which it began', function (string $at, bool $open): void {
    expect(hours([['days' => [5], 'from' => '22:00', 'to' => '02:00']], 'UTC')->openAt(new DateTimeImmutable($at)))->toBe($open);
})->with([
    'before' => ['2031-05-02T21:59:59Z', false],
    'evening' => ['2031-05-02T22:00:00Z', true],
    'after midnight' => ['2031-05-03T01:59:59Z', true],
    'closed' => ['2031-05-03T02:00:00Z', false], 'the night before' => ['2031-05-02T01:00:00Z', false],
]);

it('carries a Sunday night into Monday', function (): void {
    expect(
        hours([['days' => [7], 'from' => '20:00', 'to' => '01:00']], 'UTC')->openAt(new DateTimeImmutable('2031-05-05T00:30:00Z')),
    )->toBeTrue();
});

it('goes by the clock on the wall when summer time begins and ends', function (string $at, bool $open): void {
    // 2031: Sunday 30 March, 01:00 becomes 02:00; Sunday 26 October, 02:00 becomes 01:00.
    expect(
        hours([
            ['days' => [6, 7], 'from' => '00:30', 'to' => '03:00'],
            ['days' => [6], 'from' => '22:00', 'to' => '02:30'],
        ])->openAt(new DateTimeImmutable($at)),
    )->toBe($open);
})->with([
    'March, 00:59 on the wall' => ['2031-03-30T00:59:00Z', true],
    'March, a minute later it is 02:00' => ['2031-03-30T01:00:00Z', true],
    'March, 03:00' => ['2031-03-30T02:00:00Z', false],
    'October, first 01:30' => ['2031-10-26T00:30:00Z', true],
    'October, second 01:30' => ['2031-10-26T01:30:00Z', true],
    'October, 03:00' => ['2031-10-26T03:00:00Z', false],
]);

it('ends a day in the shop\'s own zone, also on the days that are an hour shorter or longer', function (string $date, string $end): void {
    expect(hours([])->endOfDate($date)->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'))->toBe($end);
})->with([
    ['2031-01-15', '2031-01-15T23:59:59Z'],
    ['2031-07-15', '2031-07-15T22:59:59Z'],
    ['2031-03-30', '2031-03-30T22:59:59Z'],
    ['2031-10-26', '2031-10-26T23:59:59Z'],
    ['2031-10-25', '2031-10-25T22:59:59Z'],
]);

it(
    'tells the shop\'s date, which is not always that of UTC',
    fn () => expect(hours([])->dateAt(new DateTimeImmutable('2031-07-15T23:30:00Z')))->toBe('2031-07-16'),
);

it('refuses hours that begin when they end', function (): void {
    expect(fn () => hours([['days' => [1], 'from' => '08:00', 'to' => '08:00']]))->toThrow(MillStep\Core\Border\InvalidInput::class);
});
