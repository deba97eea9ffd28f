<?php

declare(strict_types=1);

use MillStep\Core\Border\Length;
use MillStep\Core\Measure\Scale;

it('says a reading as the scale shows it', function (string $unit, float $graduation, float $mm, string $words): void {
    expect(Scale::of($unit, Length::mm($graduation))->name(Length::mm($mm)))->toBe($words);
})->with([
    ['mm', 1, 12, '12 mm'], ['mm', 0.5, 12.5, '12.5 mm'], ['mm', 0.02, 3.06, '3.06 mm'], ['mm', 0.1, 7, '7.0 mm'], ['mm', 2, 14, '14 mm'],
    ['in', 25.4 / 32, 25.4 * 15 / 32, '15/32 in'], ['in', 25.4 / 32, 25.4 * 0.5, '1/2 in'],
    ['in', 25.4 / 16, 25.4 * 1.25, '1-1/4 in'], ['in', 25.4 / 64, 25.4, '1 in'],
    ['in', 0.0254, 12.0142, '0.473 in'], ['in', 0.254, 12.7, '0.50 in'],
]);

it('goes up or down to a line, and stays on one', function (): void {
    foreach (draws(40, 0.1, 60, 9) as $mm) {
        foreach ([Scale::of('mm', Length::mm(0.5)), Scale::of('in', Length::inchFraction(1, 32))] as $scale) {
            $up = $scale->up(Length::mm($mm))->inMm();
            $down = $scale->down(Length::mm($mm))->inMm();
            expect($up - $mm)->toBeGreaterThanOrEqual(-1e-9)->toBeLessThan($scale->graduation->inMm())
                ->and($mm - $down)->toBeGreaterThanOrEqual(-1e-9)->toBeLessThan($scale->graduation->inMm())
                ->and($scale->up($scale->up(Length::mm($mm)))->inMm())->toBe($up);
        }
    }
});
