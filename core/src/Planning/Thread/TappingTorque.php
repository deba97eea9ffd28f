<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * What cutting a thread twists the tap with, kc·p²·D/8000, against what the tap's core bears. Both are teaching values:
 * the core is taken as half of the thread, of high-speed steel that shears at 1000 N/mm².
 */
final readonly class TappingTorque implements Operation
{
    private const CORE = 0.5;

    private const SHEARS_N_MM2 = 1000;

    /** A tap that is dull, dry or packed with chips takes twice as much. */
    public const WORST = 2.0;

    /** A forming tap presses: one and a half to twice as much (tap_types.csv). */
    public const FORMING = 1.75;

    public function __construct(public Length $major, public Length $pitch, public float $kcNMm2)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->length('major_mm'), $fields->length('pitch_mm'), $fields->positive('kc_n_mm2'));
    }

    public function compute(): TapTwist
    {
        $torque = $this->kcNMm2 * $this->pitch->inMm() ** 2 * $this->major->inMm() / 8000;
        $breaks = M_PI * ($this->major->inMm() * self::CORE) ** 3 * self::SHEARS_N_MM2 / 16 / 1000;

        return new TapTwist($torque, $breaks, $breaks >= self::WORST * $torque);
    }
}
