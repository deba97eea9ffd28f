<?php

declare(strict_types=1);

use MillStep\Core\Assessment\Measuring\Feature;
use MillStep\Core\Assessment\Measuring\Found;
use MillStep\Core\Assessment\Measuring\Side;
use MillStep\Core\Assessment\Measuring\TwoReaders;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\Verdict;

/**
 * @param  array<string, mixed>  $wants
 * @param  list<array<string, string>>  $typed
 * @param  array<string, Length>  $personal
 */
function measured(array $wants, array $typed, float $uncertainty = 0.02, float $zero = 0, array $personal = []): Found
{
    $wanted = WaysOfMeasuring::of(Fields::of($wants), $personal);

    return $wanted->found(
        array_map(static fn (array $one): Fields => Fields::of($wanted->read($one, 'mm', Length::mm($zero))), $typed),
        Length::mm($uncertainty),
    );
}

const BORE = ['measure' => 'diameter', 'lower_mm' => 9, 'upper_mm' => 9.3];

const PLACE = ['measure' => 'position', 'x_mm' => 15, 'y_mm' => 65, 'position_tolerance_mm' => 0.5];

it('takes one reading where it is sure, and as many as three where it is not', function (): void {
    expect(measured(BORE, [['value' => '9.12']]))->verdict->toBe(Verdict::In)->again->toBe(0)
        ->and(measured(BORE, [['value' => '9.6']]))->verdict->toBe(Verdict::Out)->savable->toBeFalse()
        ->and(measured(BORE, [['value' => '9.29']]))->verdict->toBe(Verdict::Doubtful)->again->toBe(2)
        ->and(measured(BORE, [['value' => '9.29'], ['value' => '9.30']]))->verdict->toBe(Verdict::Doubtful)->again->toBe(1)
        ->and(measured(BORE, [['value' => '9.29'], ['value' => '9.30'], ['value' => '9.28']]))
        ->verdict->toBe(Verdict::In)->again->toBe(0)->why->code->toBe('assessment.found.mean_in')
        ->and(measured(BORE, [['value' => '9.31'], ['value' => '9.32'], ['value' => '9.30']]))
        ->verdict->toBe(Verdict::Out)->why->code->toBe('assessment.found.mean_out')
        ->spread->inMm()->toEqualWithDelta(0.02, 1e-9);
});

it('is not measured until it fits: the mean is judged, not the last reading', function (): void {
    expect(measured(BORE, [['value' => '9.31'], ['value' => '9.27']])->verdict)->toBe(Verdict::Doubtful);
});

it('always comes to an end after three readings', function (): void {
    foreach (draws(400, 8.9, 9.4) as $index => $value) {
        $typed = array_fill(0, 3, ['value' => (string) $value]);
        $found = measured(BORE, $typed, [0.0, 0.02, 0.1, 0.2][$index % 4]);
        expect($found->verdict)->not->toBe(Verdict::Doubtful)->and($found->again)->toBe(0);
    }
});

it('takes the zero error of the gauge off', function (): void {
    expect(measured(BORE, [['value' => '9.31']], zero: 0.06)->value?->inMm())->toEqualWithDelta(9.25, 1e-9)
        ->and(measured(BORE, [['value' => '9.31']], zero: 0.06)->verdict)->toBe(Verdict::In)
        // How far off a hole is has no zero of a gauge in it.
        ->and(measured(PLACE, [['dx' => '0.1', 'dy' => '0']], zero: 0.06)->value?->inMm())->toEqualWithDelta(0.2, 1e-9);
});

it('finds a place the same from offsets, from coordinates and over a pin', function (): void {
    $by = [['dx' => '0.1', 'dy' => '-0.05'], ['x' => '15.1', 'y' => '64.95'], ['x' => '19.6', 'y' => '69.45', 'pin' => '9']];
    foreach ($by as $typed) {
        expect(measured(PLACE, [$typed])->value?->inMm())->toEqualWithDelta(2 * hypot(0.1, 0.05), 1e-6);
    }
});

it('doubts a place by twice what it doubts a coordinate', function (): void {
    // 0.47 of 0.5: surer than a caliper of ±0.02 in each direction can be.
    expect(measured(PLACE, [['dx' => '0.235', 'dy' => '0']])->verdict)->toBe(Verdict::Doubtful)
        ->and(measured(PLACE, [['dx' => '0.229', 'dy' => '0']])->verdict)->toBe(Verdict::In)
        ->and(measured(PLACE, [['dx' => '0.271', 'dy' => '0']])->verdict)->toBe(Verdict::Out);
});

it('lays places into their middle, not their distances', function (): void {
    $found = measured(PLACE, [['dx' => '0.24', 'dy' => '0'], ['dx' => '-0.24', 'dy' => '0']]);
    expect($found->value?->inMm())->toEqualWithDelta(0, 1e-9)->and($found->verdict)->toBe(Verdict::In);
});

it('takes limits from a fit, from one\'s own dimension, and from a most', function (): void {
    $fit = ['measure' => 'size', 'nominal_mm' => 8, 'fit' => 'H7'];
    $own = ['measure' => 'size', 'feature' => 'thickness', 'dimension' => 'thick', 'plus_mm' => 0.05, 'minus_mm' => 0.05];
    $most = ['measure' => 'size', 'feature' => 'gap', 'at_most_mm' => 0.2];
    expect(WaysOfMeasuring::of(Fields::of($fit))->limits())->toEqual(['lower_mm' => 8.0, 'upper_mm' => 8.015])
        ->and(measured($own, [['value' => '6.52']], 0.01, personal: ['thick' => Length::mm(6.5)])->verdict)->toBe(Verdict::In)
        ->and(measured($own, [['value' => '6.6']], 0.01, personal: ['thick' => Length::mm(6.5)]))->savable->toBeTrue()
        ->and(measured($most, [['value' => '0']])->verdict)->toBe(Verdict::In)
        ->and(measured($most, [['value' => '0.3']]))->verdict->toBe(Verdict::Out)->savable->toBeFalse();
});

it('refuses wants that are none', function (array $wants, string $field): void {
    try {
        WaysOfMeasuring::of(Fields::of($wants), ['thick' => Length::mm(0.05)]);
    } catch (CoreException $fault) {
        expect($fault->field)->toBe($field);

        return;
    }
    $this->fail('Nothing was refused.');
})->with([
    [['measure' => 'colour'], 'measure'],
    [['measure' => 'size'], 'nominal_mm'],
    [['measure' => 'size', 'dimension' => 'wide'], 'dimension'],
    [['measure' => 'size', 'nominal_mm' => 8, 'fit' => 'Q9'], 'fit'],
    [['measure' => 'size', 'lower_mm' => 9, 'upper_mm' => 8], 'upper_mm'],
    [['measure' => 'size', 'dimension' => 'thick', 'minus_mm' => 0.1], 'minus_mm'],
    [['measure' => 'position'], 'position_tolerance_mm'],
]);

it('judges plugs and threads by what went in', function (): void {
    $plug = static fn (string $go, string $no): Found => measured(['measure' => 'plug'], [['go' => $go, 'no_go' => $no]]);
    $thread = static fn (string $go, string $turns): Found => measured(['measure' => 'thread'], [['go' => $go, 'turns' => $turns]]);
    expect($plug('yes', 'no')->verdict)->toBe(Verdict::In)
        ->and($plug('no', 'no'))->verdict->toBe(Verdict::Out)->savable->toBeTrue()
        ->and($plug('yes', 'yes'))->verdict->toBe(Verdict::Out)->savable->toBeFalse()
        ->and($thread('yes', '2')->verdict)->toBe(Verdict::In)
        ->and($thread('yes', '2,25'))->verdict->toBe(Verdict::Out)->savable->toBeFalse()
        ->and($thread('no', '0'))->verdict->toBe(Verdict::Out)->savable->toBeTrue()
        // Tried again when it has cooled.
        ->and(measured(['measure' => 'plug'], [['go' => 'no', 'no_go' => 'no'], ['go' => 'yes', 'no_go' => 'no']])->verdict)
        ->toBe(Verdict::In);
});

it('names the field that it cannot read', function (array $wants, array $typed, string $field): void {
    try {
        WaysOfMeasuring::of(Fields::of($wants))->read($typed, 'mm', Length::zero());
    } catch (InvalidInput $fault) {
        expect($fault->field)->toBe($field);

        return;
    }
    $this->fail('It was read.');
})->with([
    [BORE, ['value' => 'nine'], 'value'], [BORE, [], 'value'], [BORE, ['value' => '-9'], 'value'],
    [PLACE, ['dx' => '0.1'], 'dy'], [PLACE, ['x' => '15'], 'y'], [PLACE, ['x' => '2', 'y' => '69', 'pin' => '9'], 'x'],
    [['measure' => 'plug'], ['go' => 'perhaps', 'no_go' => 'no'], 'go'],
    [['measure' => 'thread'], ['go' => 'yes', 'turns' => str_repeat('9', 40)], 'turns'],
]);

it('saves only where metal is left', function (): void {
    foreach (Feature::cases() as $feature) {
        expect($feature->canBeSaved(Side::Under) && $feature->canBeSaved(Side::Over))->toBeFalse($feature->value);
    }
});

it('takes off as off, to whichever side: a most has no sign', function (): void {
    $most = ['measure' => 'size', 'feature' => 'place', 'at_most_mm' => 0.15];
    expect(measured($most, [['value' => '-0.4']]))->verdict->toBe(Verdict::Out)
        ->and(measured($most, [['value' => '-0.1']])->verdict)->toBe(Verdict::In);
});

it('knows which gauge cannot tell', function (array $wants, float $uncertainty, bool $can): void {
    expect(WaysOfMeasuring::of(Fields::of($wants))->canBeToldBy(Length::mm($uncertainty)))->toBe($can);
})->with([
    [BORE, 0.02, true], [BORE, 0.149, true], [BORE, 0.15, false], [PLACE, 0.249, true], [PLACE, 0.25, false],
    [['measure' => 'size', 'feature' => 'gap', 'at_most_mm' => 0.2], 0.2, false], [['measure' => 'plug'], 1.0, true],
]);

it('lays two readings of a place apart as the crow flies, not by how far each is off', function (): void {
    $place = WaysOfMeasuring::of(Fields::of(PLACE));
    $at = static fn (float $dx): Fields => Fields::of(['dx_mm' => $dx, 'dy_mm' => 0.0]);
    expect($place->apart($at(0.2), $at(-0.2))?->inMm())->toEqualWithDelta(0.4, 1e-9)
        ->and(WaysOfMeasuring::of(Fields::of(BORE))->apart(Fields::of(['value_mm' => 9.1]), Fields::of(['value_mm' => 9.2]))?->inMm())
        ->toEqualWithDelta(-0.1, 1e-9);
});

it('says whose reading is next', function (int $theirs, bool $declined, int $ours, ?float $apart, ?string $next): void {
    $found = $ours === 0 ? null : new Found(Verdict::In, Message::of('assessment.found.in'), $ours);
    expect((new TwoReaders($theirs, $declined, $ours, $found, $apart === null ? null : Length::mm($apart)))->next())->toBe($next);
})->with([
    [0, false, 0, null, 'learner'], [1, false, 0, null, 'assessor'], [0, true, 0, null, 'assessor'], [0, true, 1, null, null],
    [1, false, 1, 0.05, null], [1, false, 1, -0.06, 'learner'], [2, false, 1, 0.01, 'assessor'], [2, false, 2, 0.2, 'learner'],
    [3, false, 3, 0.05, null], [3, false, 3, 0.2, 'learner'], [4, false, 3, 0.2, 'assessor'],
]);

it('asks the assessor again while their own reading is doubtful', function (): void {
    $doubtful = new Found(Verdict::Doubtful, Message::of('assessment.found.doubtful'), 1, 2);
    expect((new TwoReaders(1, false, 1, $doubtful, Length::mm(0.2)))->next())->toBe('assessor');
});
