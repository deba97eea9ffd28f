<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Whether a table is square to the spindle: an indicator swung by hand from one side to the other, power isolated. */
final readonly class TramCheck implements Operation
{
    /** A tenth of a millimetre over a hundred: what a hole of ordinary depth does not notice (workshop practice). */
    public const USUAL_SLOPE = 0.001;

    /** Steeper than that (about 3 degrees) a table is set at an angle, or the reading slipped. */
    private const ABSURD_SLOPE = 0.05;

    /** @param  float  $tolerance  millimetres for each millimetre of the swing */
    public function __construct(public Length $readingA, public Length $readingB, public Length $swing, public float $tolerance)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): static
    {
        $swing = $fields->length('swing_mm');
        $off = $fields->coordinate('reading_a_mm')->minus($fields->coordinate('reading_b_mm'))->absolute();
        if ($off->ratioTo($swing) > self::ABSURD_SLOPE) {
            throw $fields->fault('reading_b_mm', 'measure.no_tram', ['off_mm' => $off->inMm(), 'swing_mm' => $swing->inMm()]);
        }

        return new self(
            $fields->coordinate('reading_a_mm'),
            $fields->coordinate('reading_b_mm'),
            $swing,
            $fields->between('tolerance_ratio', 0, 0.1, self::USUAL_SLOPE),
        );
    }

    public function compute(): Trammed
    {
        $slope = $this->readingA->minus($this->readingB)->absolute()->ratioTo($this->swing);

        return new Trammed($slope, $slope <= $this->tolerance + 1e-9);
    }
}
