<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Does the holding resist the drill's twist, with a factor for the moment it grabs? A hand never does. */
final readonly class HoldingCheck implements Operation
{
    public const MARGIN = 1.5;

    /** Keeps a holding that resists just what is asked for on its right side. */
    private const NOISE = 1e-9;

    public function __construct(
        public float $torqueNm,
        public float $grabFactor,
        public string $method,
        public float $resistingForceN,
        public Length $lever,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->positive('torque_nm'),
            $fields->positive('grab_factor', 3),
            $fields->text('method'),
            $fields->notNegative('resisting_force_n'),
            $fields->lengthOrZero('lever_mm'),
        );
    }

    public function compute(): Holding
    {
        $demand = $this->torqueNm * $this->grabFactor;
        $capacity = $this->resistingForceN * $this->lever->inMm() / 1000;
        $ratio = $capacity / $demand;
        $verdict = match (true) {
            str_starts_with($this->method, 'hand') => HoldingVerdict::Never,
            $ratio >= self::MARGIN - self::NOISE => HoldingVerdict::Holds,
            $ratio >= 1 - self::NOISE => HoldingVerdict::Marginal,
            default => HoldingVerdict::Slips,
        };

        return new Holding($demand, $capacity, $ratio, $verdict);
    }
}
