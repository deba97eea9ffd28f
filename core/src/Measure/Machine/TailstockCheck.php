<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * Whether the tailstock's centre is in line with the spindle, from a test cut between chuck and centre: two diameters,
 * and how far apart they were measured. The tailstock moves half of what the taper comes to at the centre.
 */
final readonly class TailstockCheck implements Operation
{
    public const USUAL_MM = 0.02;

    /**
     * @param  Length  $atHead  the diameter nearer to the chuck
     * @param  Length  $atTail  the one nearer to the centre
     * @param  Length  $length  from the chuck's jaws to the centre
     * @param  Length  $tolerance  of the two diameters' difference
     */
    public function __construct(
        public Length $atHead,
        public Length $atTail,
        public Length $apart,
        public Length $length,
        public Length $tolerance,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): static
    {
        $apart = $fields->length('apart_mm');
        $length = $fields->length('length_mm', $apart->inMm());
        if ($length->isLessThan($apart)) {
            throw $fields->fault('length_mm', 'input.below', ['other' => 'apart_mm']);
        }

        return new self(
            $fields->length('at_head_mm'),
            $fields->length('at_tail_mm'),
            $apart,
            $length,
            $fields->lengthOrZero('tolerance_mm', self::USUAL_MM),
        );
    }

    public function compute(): TailstockShift
    {
        $differ = $this->atTail->minus($this->atHead);
        $shift = $differ->absolute()->times(0.5 * $this->length->ratioTo($this->apart));

        return new TailstockShift(
            $differ,
            $differ->ratioTo($this->apart),
            $shift,
            match (true) {
                $differ->absolute()->isAtMost($this->tolerance) => 'in_line',
                // Thicker at the centre: that end stood away from the tool.
                $differ->isPositive() => 'towards_tool',
                default => 'away_from_tool',
            },
        );
    }
}
