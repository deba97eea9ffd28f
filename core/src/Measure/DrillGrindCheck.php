<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * Looks at the two lips of a drill, each with its length and its angle to the axis: unequal ones put the dead point
 * beside the axis, and the drill cuts over its size.
 */
final readonly class DrillGrindCheck implements Operation
{
    /** Two lips further apart than so many degrees do not share the work. */
    private const APART_DEG = 2;

    /** So far off half the point angle it is another point. */
    private const OFF_DEG = 3;

    /** A lip reaches half the diameter out. Outside these shares of the whole it is a slip of the pen, or another drill. */
    private const REACH_FROM = 0.25;

    private const REACH_TO = 0.75;

    private const NOISE = 1e-9;

    public function __construct(
        public Length $diameter,
        public Length $lipA,
        public Length $lipB,
        public float $angleADeg,
        public float $angleBDeg,
        public Length $tolerance,
        public float $pointAngleDeg,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $drill = new self(
            $fields->length('diameter_mm'),
            $fields->length('lip_a_mm'),
            $fields->length('lip_b_mm'),
            $fields->between('angle_a_deg', 0, 90),
            $fields->between('angle_b_deg', 0, 90),
            $fields->lengthOrZero('tolerance_mm', 0.1),
            $fields->between('point_angle_deg', 0, 180, 118),
        );
        foreach (['lip_a_mm' => $drill->reachA(), 'lip_b_mm' => $drill->reachB()] as $key => $reach) {
            $share = $reach->ratioTo($drill->diameter);
            if ($share < self::REACH_FROM || $share > self::REACH_TO) {
                throw $fields->fault($key, 'measure.no_lip_of_this_drill', [
                    'reach_mm' => round($reach->inMm(), 2), 'half_mm' => $drill->diameter->inMm() / 2,
                    'diameter_mm' => $drill->diameter->inMm(),
                ]);
            }
        }

        return $drill;
    }

    /** How far out from the dead point the corner of the first lip lies. */
    public function reachA(): Length
    {
        return $this->lipA->times(sin(deg2rad($this->angleADeg)));
    }

    public function reachB(): Length
    {
        return $this->lipB->times(sin(deg2rad($this->angleBDeg)));
    }

    public function compute(): GrindCheck
    {
        $oversize = $this->reachA()->minus($this->reachB())->absolute();
        $apart = abs($this->angleADeg - $this->angleBDeg);
        $off = max(abs($this->angleADeg - $this->pointAngleDeg / 2), abs($this->angleBDeg - $this->pointAngleDeg / 2));

        return new GrindCheck($oversize->times(0.5), $oversize, $this->diameter->plus($oversize), $apart, match (true) {
            $oversize->isGreaterThan($this->tolerance) || $apart > self::APART_DEG + self::NOISE => GrindVerdict::Regrind,
            $off > self::OFF_DEG + self::NOISE => GrindVerdict::WrongPoint,
            default => GrindVerdict::Sound,
        });
    }
}
