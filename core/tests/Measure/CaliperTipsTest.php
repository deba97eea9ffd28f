<?php

declare(strict_types=1);

use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\CaliperTips;

it('reads small in a round hole by what lies under the chord', function (float $hole, float $read): void {
    expect((new CaliperTips(Length::mm(1)))->bore(Length::mm($read))->inMm())->toEqualWithDelta($hole, 0.005);
})->with(['nine' => [9.0, 8.944], 'five, a tenth small' => [5.0, 4.899], 'twenty-six, hardly' => [26.0, 25.981]]);

it('adds more the smaller the hole, the wider the tips, and nothing to what is not there', function (): void {
    $added = static fn (float $read, float $tips): float => (new CaliperTips(Length::mm($tips)))->bore(Length::mm($read))->inMm() - $read;
    foreach (range(1, 60) as $step) {
        [$read, $tips] = [0.5 * $step + 1, 0.03 * $step];
        expect($added($read, $tips))->toBeGreaterThan(0.0)->toBeGreaterThan($added($read + 1, $tips))
            ->toBeLessThan($added($read, $tips + 0.1))->and($added($read, 0.0))->toBe(0.0);
    }
    expect($added(0.0, 1.0))->toBe(0.0);
});

it('is added to a bore and to nothing else, and a sound small hole is in by a caliper', function (): void {
    $line = ['measure' => 'size', 'nominal_mm' => 5, 'plus_mm' => 0.2, 'minus_mm' => 0];
    $read = static function (array $line, ?CaliperTips $tips): array {
        $wanted = WaysOfMeasuring::of(Fields::of($line));
        $figures = $wanted->read(['value' => '4.95'], 'mm', Length::zero(), $tips);

        return [$figures, $wanted->found([Fields::of($figures)], Length::mm(0.02))->verdict->value];
    };
    $tips = new CaliperTips(Length::mm(1));
    [$bare, $out] = $read([...$line, 'feature' => 'bore'], null);
    [$with, $in] = $read([...$line, 'feature' => 'bore'], $tips);
    expect($out)->toBe('out')->and($bare)->toBe(['value_mm' => 4.95])->and($in)->toBe('in')
        ->and($with['value_mm'])->toEqualWithDelta(5.05, 0.001)->and($with['read_mm'])->toBe(4.95)
        ->and($read([...$line, 'feature' => 'outside'], $tips)[0])->toBe(['value_mm' => 4.95]);
});
