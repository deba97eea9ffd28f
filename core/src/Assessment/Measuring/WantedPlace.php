<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\CaliperTips;
use MillStep\Core\Measure\Pins\PinPlace;
use MillStep\Core\Measure\TruePosition;
use MillStep\Core\Measure\Verdict;

/**
 * The place of a hole: inside a circle of `position_tolerance_mm` about where the drawing has it. It is read as how far off it
 * is in both directions, as two coordinates from the datum edges, or over a pin that stands in the hole, from both edges.
 */
final readonly class WantedPlace implements Wanted
{
    private function __construct(private Length $tolerance, private ?Length $x, private ?Length $y)
    {
    }

    public static function fromFields(Fields $fields, array $personal): static
    {
        $has = $fields->has('x_mm') && $fields->has('y_mm');

        return new self(
            $fields->length('position_tolerance_mm'),
            $has ? $fields->coordinate('x_mm') : null,
            $has ? $fields->coordinate('y_mm') : null,
        );
    }

    /** @throws CoreException */
    public function read(array $typed, string $units, Length $zeroError, ?CaliperTips $tips = null): array
    {
        if ($this->x === null || $this->y === null || ! isset($typed['x'])) {
            return [
                'dx_mm' => Typed::length($typed, 'dx', $units, signed: true)->inMm(),
                'dy_mm' => Typed::length($typed, 'dy', $units, signed: true)->inMm(),
            ];
        }
        $x = Typed::length($typed, 'x', $units)->minus($zeroError);
        $y = Typed::length($typed, 'y', $units)->minus($zeroError);
        if (trim($typed['pin'] ?? '') !== '') {
            $pin = Typed::length($typed, 'pin', $units);
            [$x, $y] = [self::underPin('x', $x, $pin), self::underPin('y', $y, $pin)];
        }

        return ['dx_mm' => $x->minus($this->x)->inMm(), 'dy_mm' => $y->minus($this->y)->inMm()];
    }

    /** @throws CoreException where the pin would stand over the edge */
    private static function underPin(string $field, Length $reading, Length $pin): Length
    {
        try {
            return (new PinPlace($reading, true, $pin, null, Length::zero(), Length::zero()))->compute()->centre;
        } catch (CoreException $fault) {
            throw InvalidInput::named($field, $fault->says);
        }
    }

    /** Each coordinate is as doubtful as the gauge, and the place is twice as far as they are off. */
    public function found(array $readings, Length $uncertainty): Found
    {
        $of = static fn (string $axis): Length => Length::mm(array_sum(array_map(
            static fn (Fields $reading): float => $reading->coordinate($axis)->inMm(),
            $readings,
        )) / count($readings));
        $figures = array_map($this->offBy(...), $readings);
        $place = (new TruePosition($of('dx_mm'), $of('dy_mm'), $this->tolerance))->compute()->position;
        // The mean of the places, not of their distances: what lies once to the left and once to the right lies in the middle.
        $all = new Repeated(array_fill(0, count($figures), $place), Length::zero()->minus(Length::mm(1000)), $this->tolerance,
            $uncertainty->times(2));
        $spread = (new Repeated($figures, Length::zero(), $this->tolerance, $uncertainty))->spread();
        $verdict = $all->verdict();
        $terms = [
            'value_mm' => $place->inMm(), 'upper_mm' => $this->tolerance->inMm(), 'uncertainty_mm' => $uncertainty->times(2)->inMm(),
        ];
        $why = match (true) {
            $verdict === Verdict::Doubtful => Message::of('assessment.found.place_doubtful', [...$terms, 'count' => $all->left()]),
            $all->isByMean() => Message::of("assessment.found.place_mean_{$verdict->value}", [
                ...$terms, 'spread_mm' => $spread->inMm(), 'count' => count($readings),
            ]),
            default => Message::of("assessment.found.place_{$verdict->value}", $terms),
        };

        return new Found(
            $verdict,
            $why,
            count($readings),
            $verdict === Verdict::Doubtful ? $all->left() : 0,
            $place,
            $spread,
            then: $verdict === Verdict::Out ? Message::of(Feature::Place->whatThen(null)) : null,
        );
    }

    public static function asks(): string
    {
        return 'place';
    }

    public function canBeToldBy(Length $uncertainty): bool
    {
        return $uncertainty->times(2)->isLessThan($this->tolerance);
    }

    /** From the one place to the other: two who find it off by as much to opposite sides are far apart. @throws InvalidInput */
    public function apart(Fields $one, Fields $other): Length
    {
        $off = static fn (string $axis): float => $one->coordinate($axis)->minus($other->coordinate($axis))->inMm();

        return Length::mm(hypot($off('dx_mm'), $off('dy_mm')));
    }

    /** @throws InvalidInput */
    private function offBy(Fields $reading): Length
    {
        return (new TruePosition($reading->coordinate('dx_mm'), $reading->coordinate('dy_mm'), $this->tolerance))->compute()->position;
    }

    public function limits(): array
    {
        return ['lower_mm' => 0.0, 'upper_mm' => $this->tolerance->inMm()];
    }
}
