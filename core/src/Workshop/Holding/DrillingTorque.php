<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** What a drill twists with: kc·f·d²/8000. */
final readonly class DrillingTorque implements Operation
{
    public function __construct(public Length $diameter, public float $feedMmRev, public float $kcNMm2)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->length('diameter_mm'), $fields->positive('feed_mm_rev'), $fields->positive('kc_n_mm2'));
    }

    public function compute(): Torque
    {
        return new Torque($this->kcNMm2 * $this->feedMmRev * $this->diameter->inMm() ** 2 / 8000);
    }
}
