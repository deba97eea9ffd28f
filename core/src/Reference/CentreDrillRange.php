<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A centre drill and the work diameters it is meant for; no upper end means that size and over. */
final readonly class CentreDrillRange
{
    private function __construct(public string $size, public Length $pilot, public Length $from, public ?Length $to)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->text('size'),
            $fields->length('pilot_diameter_mm'),
            $fields->lengthOrZero('recommended_work_diameter_min_mm'),
            $fields->has('recommended_work_diameter_max_mm') ? $fields->length('recommended_work_diameter_max_mm') : null,
        );
    }

    public static function of(string $size, Length $pilot, Length $from, ?Length $to): self
    {
        return new self($size, $pilot, $from, $to);
    }

    public function contains(Length $diameter): bool
    {
        return $diameter->isAtLeast($this->from) && ($this->to === null || $diameter->isAtMost($this->to));
    }

    /** @param  non-empty-list<self>  $sizes */
    public static function nearest(array $sizes, Length $diameter): self
    {
        usort($sizes, static fn (self $a, self $b): int => $a->gap($diameter) <=> $b->gap($diameter));

        return $sizes[0];
    }

    private function gap(Length $diameter): float
    {
        return max(0, $this->from->minus($diameter)->inMm(), $this->to === null ? 0 : $diameter->minus($this->to)->inMm());
    }
}
