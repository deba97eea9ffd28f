<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Workshop\Holding\Ring;

/** A toothed cup with a pilot drill in its middle: it cuts a ring and leaves a slug. */
final readonly class HoleSaw
{
    /** So wide a ring it cuts, and so much a turn, where nobody says (workshop practice). */
    private const KERF_MM = 2.0;

    public const FEED_MM = 0.1;

    /** The drill in its middle, and how far that goes ahead of the teeth (workshop practice). */
    public const PILOT_MM = 6.35;

    public const AHEAD_MM = 5.0;

    /** So deep a usual cup is (workshop practice). */
    private const USUAL_DEEP_MM = 35.0;

    private function __construct(public Length $diameter, public Length $deep, public bool $deepKnown)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $known = $fields->has('reach_mm');

        return new self(
            $fields->length('diameter_mm'),
            $known ? $fields->length('reach_mm') : Length::mm(self::USUAL_DEEP_MM),
            $known,
        );
    }

    public static function ring(Length $diameter): Ring
    {
        $slug = $diameter->minus(Length::mm(2 * self::KERF_MM));

        return new Ring($diameter, $slug->isPositive() ? $slug : Length::zero());
    }
}
