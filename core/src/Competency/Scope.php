<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** What a sign-off covers; what it does not limit is covered. */
final readonly class Scope
{
    /** The kinds of work that a scope can be limited to. */
    public const OPERATIONS = [
        'drill', 'countersink', 'ream', 'tap', 'drill_blind', 'drill_sheet', 'drill_taper', 'drill_cross',
        'face', 'centre', 'turn', 'part_off', 'long_bar', 'mark_out',
    ];

    /**
     * @param  list<string>|null  $materials
     * @param  list<string>|null  $operations
     */
    public function __construct(
        public ?array $materials,
        public ?array $operations,
        public ?Length $maxDiameter,
        public bool $companion,
        public ?Length $minThickness = null,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->has('materials') ? $fields->texts('materials') : null,
            $fields->has('operations') ? $fields->texts('operations') : null,
            $fields->has('max_diameter_mm') ? $fields->length('max_diameter_mm') : null,
            $fields->flag('companion', false),
            $fields->has('min_thickness_mm') ? $fields->length('min_thickness_mm') : null,
        );
    }

    public function coversMaterial(?string $material): bool
    {
        return $material === null || $this->materials === null || in_array($material, $this->materials, true);
    }

    public function coversOperation(?string $operation): bool
    {
        return $operation === null || $this->operations === null || in_array($operation, $this->operations, true);
    }

    public function coversDiameter(?Length $diameter): bool
    {
        return $diameter === null || $this->maxDiameter === null || $diameter->isAtMost($this->maxDiameter);
    }

    public function coversThickness(?Length $thickness): bool
    {
        return $thickness === null || $this->minThickness === null || $thickness->isAtLeast($this->minThickness);
    }

    /** Whether all that was said of the work lies within; what was not said is not judged. */
    public function covers(AccessRequest $request): bool
    {
        return $this->coversMaterial($request->material) && $this->coversOperation($request->operation)
            && $this->coversDiameter($request->diameter) && $this->coversThickness($request->thickness);
    }

    /**
     * Where a signature would say more than this, the permit's own scope.
     *
     * @return list<string> `scope_material`, `scope_operation`, `scope_diameter`, `scope_thickness`
     */
    public function exceededBy(self $wanted): array
    {
        return array_keys(array_filter([
            'scope_material' => $this->materials !== null && array_diff($wanted->materials ?? [], $this->materials) !== [],
            'scope_operation' => $this->operations !== null && array_diff($wanted->operations ?? [], $this->operations) !== [],
            'scope_diameter' => $this->maxDiameter !== null && $wanted->maxDiameter?->isGreaterThan($this->maxDiameter) === true,
            'scope_thickness' => $this->minThickness !== null && $wanted->minThickness?->isLessThan($this->minThickness) === true,
        ]));
    }

    /** What is wanted, with this scope's own limit wherever nothing narrower is asked for. */
    public function narrowedTo(self $wanted): self
    {
        return new self(
            $wanted->materials ?? $this->materials,
            $wanted->operations ?? $this->operations,
            $wanted->maxDiameter ?? $this->maxDiameter,
            $wanted->companion || $this->companion,
            $wanted->minThickness ?? $this->minThickness,
        );
    }

    /**
     * @return array{materials?: list<string>, operations?: list<string>, max_diameter_mm?: float, min_thickness_mm?: float,
     *     companion?: true}
     */
    public function toArray(): array
    {
        return array_filter([
            'materials' => $this->materials,
            'operations' => $this->operations,
            'max_diameter_mm' => $this->maxDiameter?->inMm(),
            'min_thickness_mm' => $this->minThickness?->inMm(),
            'companion' => $this->companion ? true : null,
        ], static fn (mixed $limit): bool => $limit !== null);
    }
}
