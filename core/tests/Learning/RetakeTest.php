<?php

declare(strict_types=1);

use MillStep\Core\Learning\Check\Retake;

it('waits after each try, and for a day after as many as are allowed', function (array $handedIn, string $now, ?string $until): void {
    $at = static fn (string $time): DateTimeImmutable => new DateTimeImmutable("2031-05-$time:00Z");
    expect((new Retake(10, 3))->waitsUntil(array_map($at, $handedIn), $at($now))?->format('d\TH:i'))->toBe($until);
})->with([
    'never tried' => [[], '02T12:00', null],
    'just now' => [['02T11:59'], '02T12:00', '02T12:09'],
    'on the minute' => [['02T11:50'], '02T12:00', null],
    'twice' => [['02T09:00', '02T11:00'], '02T12:00', null],
    'three in a day' => [['02T09:00', '02T10:00', '02T11:00'], '02T12:00', '03T09:00'],
    'three, the first a day ago' => [['01T11:00', '02T10:00', '02T11:00'], '02T12:00', null],
    'three, the last just now' => [['01T12:05', '02T10:00', '02T11:58'], '02T12:00', '02T12:08'],
    'more than are allowed now' => [['02T08:00', '02T09:00', '02T10:00', '02T11:00'], '02T12:00', '03T09:00'],
]);

it('counts no wait where the policy has none', function (): void {
    $now = new DateTimeImmutable('2031-05-02T12:00:00Z');
    expect((new Retake(0, 50))->waitsUntil([$now], $now))->toBeNull();
});
