<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** The shape of a plain 60° centre drill. */
final readonly class CentreDrill
{
    private function __construct(public Length $pilot, public Length $body)
    {
    }

    /** The body must be wider than the pilot. */
    public static function of(Length $pilot, Length $body): self
    {
        return new self($pilot, $body);
    }

    /**
     * @throws InvalidInput
     * @throws Impossible when the body is no wider than the pilot
     */
    public static function fromFields(Fields $fields): self
    {
        $pilot = $fields->length('pilot_diameter_mm');
        $body = $fields->length('body_diameter_mm');

        return $body->isGreaterThan($pilot) ? new self($pilot, $body)
            : throw Impossible::because('body_diameter_mm', 'workshop.body_no_wider_than_pilot');
    }

    /** How much wider the body is than the pilot. */
    public function flare(): Length
    {
        return $this->body->minus($this->pilot);
    }

    /** How wide its cone stands open with so much of it formed. */
    public function mouth(float $fraction): Length
    {
        return $this->pilot->plus($this->flare()->times($fraction));
    }
}
