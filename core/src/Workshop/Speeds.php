<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;

/** The spindle speeds that a machine has: steps, or a range that is set in tens. */
final readonly class Speeds
{
    /** @param  list<float>  $steps ascending; empty for a range */
    private function __construct(private array $steps, private float $least, private float $most)
    {
    }

    /** @param  non-empty-list<float>  $rpm in any order */
    public static function steps(array $rpm): self
    {
        sort($rpm);

        return new self($rpm, $rpm[0], $rpm[count($rpm) - 1]);
    }

    public static function range(float $least, float $most): self
    {
        return new self([], $least, $most);
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        if (! $fields->has('speeds_rpm') && ($fields->has('min_rpm') || $fields->has('max_rpm'))) {
            $least = $fields->positive('min_rpm');
            $most = $fields->positive('max_rpm');

            return $most >= $least ? self::range($least, $most) : throw $fields->fault('max_rpm', 'must not be below min_rpm');
        }

        return self::steps($fields->positives('speeds_rpm'));
    }

    /** The greatest speed that does not exceed the limit; where there is none, the slowest. */
    public function atMost(float $limitRpm): float
    {
        if ($this->steps === []) {
            return min($this->most, max($this->least, floor($limitRpm / 10) * 10));
        }
        $chosen = $this->steps[0];
        foreach ($this->steps as $speed) {
            if ($speed <= $limitRpm) {
                $chosen = $speed;
            }
        }

        return $chosen;
    }
}
