<?php

declare(strict_types=1);

use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Assessment\PartVerdict;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;

it('is not said to fit while something is still to come off', function (): void {
    $ring = static fn (float $mm) => WaysOfMeasuring::of(Fields::of([
        'measure' => 'size', 'feature' => 'thickness', 'nominal_mm' => 6.5, 'allowance_mm' => 0.2, 'plus_mm' => 0.1, 'minus_mm' => 0.1,
    ]))->found([Fields::of(['value_mm' => $mm])], Length::mm(0.02));
    expect(PartVerdict::of([$ring(6.7)], true))->toBe(PartVerdict::ToFinish)
        ->and(PartVerdict::of([$ring(6.7)]))->toBe(PartVerdict::Fits)
        ->and(PartVerdict::of([$ring(6.5)], true))->toBe(PartVerdict::Rejected)
        ->and(PartVerdict::of([$ring(6.7), null], true))->toBe(PartVerdict::NotMeasured);
});
