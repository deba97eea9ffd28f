<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Reference\CentreDrillRange;

/** Which centre drill suits a work diameter: of those whose range contains it, the one with the largest pilot. */
final readonly class CentreDrillChoice implements Operation
{
    /** @param  non-empty-list<CentreDrillRange>  $sizes */
    public function __construct(public Length $workDiameter, public array $sizes)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $sizes = array_map(CentreDrillRange::fromFields(...), $fields->objects('sizes', 1));

        return new self($fields->length('work_diameter_mm'), $sizes !== [] ? $sizes : throw $fields->fault('sizes', 'input.empty'));
    }

    /** @throws NoCandidate naming the nearest range */
    public function compute(): CentreDrillSize
    {
        $best = null;
        foreach ($this->sizes as $size) {
            if ($size->contains($this->workDiameter) && ($best === null || $size->pilot->compareExactly($best->pilot) > 0)) {
                $best = $size;
            }
        }

        return $best !== null ? new CentreDrillSize($best->size)
            : throw NoCandidate::in(
                'sizes',
                'planning.no_centre_drill_for',
                [
                    'work_mm' => $this->workDiameter->inMm(),
                    'nearest' => CentreDrillRange::nearest($this->sizes, $this->workDiameter)->size,
                ],
            );
    }
}
