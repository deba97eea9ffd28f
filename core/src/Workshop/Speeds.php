<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;

/** The spindle speeds that a machine has: steps, or a range that is set in tens. */
final readonly class Speeds
{
    /**
     * @param  list<float>  $steps  ascending; empty for a range
     * @param  array<string, string>  $names  what the shop calls a step, by its speed
     */
    private function __construct(private array $steps, private float $least, private float $most, private array $names = [])
    {
    }

    /**
     * @param  non-empty-list<float>  $rpm  in any order
     * @param  list<string>  $names  what the shop calls each of them, or none
     */
    public static function steps(array $rpm, array $names = []): self
    {
        $called = $names === [] ? [] : array_combine(array_map(self::key(...), $rpm), $names);
        sort($rpm);

        return new self($rpm, $rpm[0], $rpm[count($rpm) - 1], $called);
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

            return $most >= $least ? self::range($least, $most) : throw $fields->fault('max_rpm', 'input.below', ['other' => 'min_rpm']);
        }
        $steps = $fields->positives('speeds_rpm');
        $names = $fields->has('speed_names') ? $fields->texts('speed_names') : [];

        return $names === [] || count($names) === count($steps) ? self::steps($steps, $names)
            : throw $fields->fault('speed_names', 'workshop.speed_names', ['count' => count($steps)]);
    }

    /**
     * What to set for a speed that the machine has: the shop's own name for the belt or lever position, or which
     * of its steps it is, counted from the slowest. Null for a range, which is set by its dial.
     */
    public function setting(float $rpm): Message|string|null
    {
        $step = array_search($rpm, $this->steps, true);

        return $step === false
            ? null
            : ($this->names[self::key($rpm)] ?? Message::of('workshop.speed_step', ['step' => $step + 1, 'steps' => count($this->steps)]));
    }

    /** @return list<float> its steps, slowest first; none for a range */
    public function all(): array
    {
        return $this->steps;
    }

    public function isRange(): bool
    {
        return $this->steps === [];
    }

    public function slowest(): float
    {
        return $this->least;
    }

    /** The one above a speed or below it; half as much again or half of it where there is no other. */
    public function next(float $rpm, int $by): float
    {
        $at = array_search($rpm, $this->steps, true);

        return ($at === false ? null : $this->steps[$at + $by] ?? null) ?? round($rpm * ($by > 0 ? 1.5 : 0.5) / 10) * 10;
    }

    private static function key(float $rpm): string
    {
        return number_format($rpm, 3, '.', '');
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
