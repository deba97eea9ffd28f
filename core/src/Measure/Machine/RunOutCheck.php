<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How far a pin in the chuck swings: the indicator's least and most over one turn by hand, power isolated. */
final readonly class RunOutCheck implements Operation
{
    /** Of a chuck in good order (workshop practice; a maker's sheet says it for the machine). */
    public const USUAL_MM = 0.08;

    /** More than that is no chuck but a slip of reading. */
    private const ABSURD_MM = 3.0;

    public function __construct(public Length $least, public Length $most, public Length $tolerance)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): static
    {
        $least = $fields->coordinate('least_mm');
        $most = $fields->coordinate('most_mm');
        if ($most->compareExactly($least) < 0) {
            throw $fields->fault('most_mm', 'input.below', ['other' => 'least_mm']);
        }

        if ($most->minus($least)->isGreaterThan(Length::mm(self::ABSURD_MM))) {
            throw $fields->fault('most_mm', 'measure.no_run_out', [
                'swing_mm' => $most->minus($least)->inMm(), 'most_mm' => self::ABSURD_MM,
            ]);
        }

        return new self($least, $most, $fields->lengthOrZero('tolerance_mm', self::USUAL_MM));
    }

    public function compute(): RunOut
    {
        $swing = $this->most->minus($this->least);

        return new RunOut($swing, $swing->times(0.5), $swing->isAtMost($this->tolerance));
    }
}
