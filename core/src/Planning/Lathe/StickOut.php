<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How far work may stand out of the chuck, and what carries it beyond that. */
final readonly class StickOut implements Operation
{
    public function __construct(public Length $diameter, public Length $overhang, public float $ratioLimit, public ?Length $throughBore)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->length('diameter_mm'),
            $fields->lengthOrZero('overhang_mm'),
            $fields->positive('ratio_limit', 3),
            $fields->has('through_bore_mm') ? $fields->lengthOrZero('through_bore_mm') : null,
        );
    }

    public function compute(): Overhang
    {
        $allowed = $this->diameter->times($this->ratioLimit);
        $needed = $this->overhang->isGreaterThan($allowed);
        $advice = array_keys(array_filter([
            'push_into_spindle' => $this->throughBore?->isAtLeast($this->diameter) ?? false,
            'tailstock' => true,
            'steady' => true,
        ]));

        return new Overhang(
            $this->overhang->ratioTo($this->diameter),
            $allowed,
            $needed ? OverhangVerdict::SupportNeeded : OverhangVerdict::UnsupportedOk,
            $needed ? $advice : [],
        );
    }
}
