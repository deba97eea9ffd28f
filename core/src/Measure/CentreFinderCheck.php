<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Scribe, turn half round, scribe again: the tool is out by half the gap between the lines. */
final readonly class CentreFinderCheck implements Operation
{
    public function __construct(public Length $lineGap, public Length $tolerance)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->lengthOrZero('line_gap_mm'), $fields->lengthOrZero('tolerance_mm'));
    }

    public function compute(): FinderError
    {
        $error = $this->lineGap->times(0.5);

        return new FinderError($error, $error->isAtMost($this->tolerance) ? FinderVerdict::Sound : FinderVerdict::Reject);
    }
}
