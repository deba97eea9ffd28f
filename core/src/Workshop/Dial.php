<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A handwheel's dial: what a division moves, how many make a turn, and whether it shows radius or diameter. */
final readonly class Dial
{
    private function __construct(public Length $graduation, public int $divisionsPerTurn, public bool $readsDiameter)
    {
    }

    /**
     * `{graduation_mm, divisions_per_turn?, reads_diameter?}`
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->length('graduation_mm'),
            $fields->integer('divisions_per_turn', 1, 10_000, 100),
            $fields->flag('reads_diameter', false),
        );
    }

    /** @param  'nearest'|'up'|'down'  $rounding */
    public function move(Length $travel, string $rounding): DialReading
    {
        return (new DialMove($travel, $this->graduation, $this->divisionsPerTurn, $this->readsDiameter, $rounding))->compute();
    }
}
