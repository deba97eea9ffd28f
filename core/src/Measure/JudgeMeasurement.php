<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * Is a reading inside its limits, given what the instrument cannot tell? `in` inside the limits narrowed
 * by the uncertainty, `out` outside the limits widened by it, else `doubtful`: measure again.
 */
final readonly class JudgeMeasurement implements Operation
{
    public function __construct(
        public Length $value,
        public Length $lower,
        public Length $upper,
        public Length $uncertainty,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $value = $fields->coordinate('value_mm');
        $lower = $fields->coordinate('lower_mm');
        $upper = $fields->coordinate('upper_mm');
        if ($upper->compareExactly($lower) < 0) {
            throw $fields->fault('upper_mm', 'input.below', ['other' => 'lower_mm']);
        }

        return new self($value, $lower, $upper, $fields->lengthOrZero('uncertainty_mm', 0));
    }

    public function compute(): Judgement
    {
        $verdict = match (true) {
            $this->value->isAtLeast($this->lower->plus($this->uncertainty))
                && $this->value->isAtMost($this->upper->minus($this->uncertainty)) => Verdict::In,
            $this->value->isLessThan($this->lower->minus($this->uncertainty)),
            $this->value->isGreaterThan($this->upper->plus($this->uncertainty)) => Verdict::Out,
            default => Verdict::Doubtful,
        };

        return new Judgement($verdict, $this->value->minus($this->lower->plus($this->upper)->times(0.5)));
    }
}
