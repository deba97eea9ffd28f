<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Pins;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Measure\JudgeMeasurement;

/**
 * Where a hole is, read over or between pins that stand in it: from the pin of another hole, or from an edge.
 * Half of each pin is taken off what was read over them, or added to what was read between.
 */
final readonly class PinPlace implements Operation
{
    /**
     * @param  Length|null  $pinB  in the other hole; null where the reading is from an edge
     * @param  bool  $over  over the far sides, else between the near ones
     * @param  Length  $play  how much wider the holes are than their pins, together
     * @param  Length|null  $nominal  what the drawing wants
     * @param  Length|null  $within  half of the zone: plus and minus
     */
    public function __construct(
        public Length $reading,
        public bool $over,
        public Length $pinA,
        public ?Length $pinB,
        public Length $play,
        public Length $uncertainty,
        public ?Length $nominal = null,
        public ?Length $within = null,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $pinB = $fields->has('pin_b_mm') ? $fields->length('pin_b_mm') : null;
        $play = static fn (string $hole, ?Length $pin): Length => match (true) {
            ! $fields->has($hole) || $pin === null => Length::zero(),
            $fields->length($hole)->isLessThan($pin) => throw $fields->fault($hole, 'measure.pin_wider_than_hole'),
            default => $fields->length($hole)->minus($pin),
        };
        $pinA = $fields->length('pin_a_mm');

        return new self(
            $fields->length('reading_mm'),
            $fields->choice('of', ['over', 'between']) === 'over',
            $pinA,
            $pinB,
            $play('hole_a_mm', $pinA)->plus($play('hole_b_mm', $pinB)),
            $fields->lengthOrZero('uncertainty_mm', 0),
            $fields->has('nominal_mm') ? $fields->length('nominal_mm') : null,
            $fields->has('within_mm') ? $fields->lengthOrZero('within_mm') : null,
        );
    }

    /** @throws Impossible when the pins would stand in each other, or over the edge */
    public function compute(): PlacedHole
    {
        $halves = $this->pinA->plus($this->pinB ?? Length::zero())->times(0.5);
        $centre = $this->over ? $this->reading->minus($halves) : $this->reading->plus($halves);
        if (! $centre->isPositive() || ($this->pinB !== null && $centre->isLessThan($halves))) {
            throw Impossible::because('reading_mm', 'measure.pins_meet');
        }
        // A pin that is loose in its hole may stand to either side of its middle.
        $doubt = $this->uncertainty->plus($this->play->times(0.5));
        $judged = $this->nominal === null || $this->within === null ? null : (new JudgeMeasurement(
            $centre,
            $this->nominal->minus($this->within),
            $this->nominal->plus($this->within),
            $doubt,
        ))->compute();

        return new PlacedHole($centre, $doubt, $this->nominal === null ? null : $centre->minus($this->nominal), $judged?->verdict);
    }
}
