<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A bar that carries a small cutter into a drilled hole and opens it. */
final readonly class BoringBar
{
    /** So much of a hole is taken up by a bar and its cutter where nobody says how small a hole it enters (workshop practice). */
    private const FILLS = 0.7;

    /**
     * @param  Length  $enters  the smallest hole that it goes into
     * @param  Length|null  $reach  how far it stands out of its holder at most; null when nothing is said
     * @param  bool  $known  of the crib, not taken
     */
    private function __construct(public Length $thick, public Length $enters, public ?Length $reach, public bool $known)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $thick = $fields->length('bar_mm');
        $enters = $fields->has('enters_mm') ? $fields->length('enters_mm') : $thick->times(1 / self::FILLS);

        return $enters->isGreaterThan($thick)
            ? new self($thick, $enters, $fields->has('reach_mm') ? $fields->length('reach_mm') : null, true)
            : throw $fields->fault('enters_mm', 'workshop.bar_fills_hole');
    }

    /** The bar that one would take for a hole, in whole millimetres, where the crib does not say what it has. */
    public static function usualFor(Length $hole): self
    {
        return new self(Length::mm(max(1.0, floor($hole->inMm() * self::FILLS + 1e-9))), $hole, null, false);
    }
}
