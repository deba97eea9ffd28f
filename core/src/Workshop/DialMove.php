<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** A travel in whole divisions of this machine's dial, and how far off that is. */
final readonly class DialMove implements Operation
{
    /** Keeps a travel of whole divisions whole. */
    private const NOISE = 1e-9;

    public function __construct(
        public Length $travel,
        public Length $graduation,
        public int $divisionsPerTurn,
        public bool $readsDiameter,
        public string $rounding,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->coordinate('travel_mm'),
            $fields->length('graduation_mm'),
            $fields->integer('divisions_per_turn', 1),
            $fields->flag('reads_diameter', false),
            $fields->choice('rounding', ['nearest', 'up', 'down']),
        );
    }

    public function compute(): DialReading
    {
        $perDivision = $this->readsDiameter ? $this->graduation->times(0.5) : $this->graduation;
        $exact = $this->travel->ratioTo($perDivision);
        $divisions = (int) match ($this->rounding) {
            'up' => ceil($exact - self::NOISE),
            'down' => floor($exact + self::NOISE),
            // PHP rounds half away from zero.
            default => round($exact),
        };
        $actual = $perDivision->times($divisions);

        return new DialReading(
            $divisions,
            intdiv($divisions, $this->divisionsPerTurn),
            $divisions % $this->divisionsPerTurn,
            $actual,
            $actual->minus($this->travel),
        );
    }
}
