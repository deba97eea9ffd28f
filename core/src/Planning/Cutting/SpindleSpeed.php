<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Workshop\Speeds;

/** The speed to set: 1000·v·factor/(π·d), rounded down to a speed that the machine has. */
final readonly class SpindleSpeed implements Operation
{
    public function __construct(
        public float $cuttingSpeedMMin,
        public Length $diameter,
        public float $operationFactor,
        public Speeds $speeds,
        public ?float $capRpm = null,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->positive('cutting_speed_m_min'),
            $fields->length('diameter_mm'),
            $fields->positive('operation_factor', 1),
            Speeds::fromFields($fields),
            $fields->has('cap_rpm') ? $fields->positive('cap_rpm') : null,
        );
    }

    public function compute(): SpeedChoice
    {
        $circumferenceM = M_PI * $this->diameter->inMm() / 1000;
        $target = $this->cuttingSpeedMMin * $this->operationFactor / $circumferenceM;
        $chosen = $this->speeds->atMost(min($target, $this->capRpm ?? $target));
        $verdict = match (true) {
            $chosen > $target => SpeedVerdict::MachineTooFast,
            $this->capRpm !== null && $this->capRpm < $target && $chosen <= $this->capRpm => SpeedVerdict::Capped,
            $chosen < 0.5 * $target => SpeedVerdict::Slow,
            default => SpeedVerdict::Ok,
        };

        return new SpeedChoice($target, $chosen, $circumferenceM * $chosen, $verdict);
    }
}
