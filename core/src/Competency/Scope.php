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

    /**
     * @param  array<string, mixed>  $row  as a permit's file has it
     *
     * @throws InvalidInput
     */
    public static function fromRow(array $row): self
    {
        return self::fromFields(Fields::of($row));
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

    public function limitsMaterial(): bool
    {
        return $this->materials !== null;
    }

    public function limitsThickness(): bool
    {
        return $this->minThickness !== null;
    }

    public function limitsOperation(): bool
    {
        return $this->operations !== null;
    }

    public function limitsDiameter(): bool
    {
        return $this->maxDiameter !== null;
    }

    /** Whether it names any limit of what is made; a companion is none. */
    public function limitsAnything(): bool
    {
        return $this->limitsMaterial() || $this->limitsThickness() || $this->limitsOperation() || $this->limitsDiameter();
    }

    /** The same without each limit that one of the others names in its place. */
    public function replacedBy(self ...$others): self
    {
        $named = static fn (\Closure $limits): bool => array_filter($others, $limits) !== [];

        return new self(
            $named(static fn (self $other): bool => $other->limitsMaterial()) ? null : $this->materials,
            $named(static fn (self $other): bool => $other->limitsOperation()) ? null : $this->operations,
            $named(static fn (self $other): bool => $other->limitsDiameter()) ? null : $this->maxDiameter,
            $this->companion,
            $named(static fn (self $other): bool => $other->limitsThickness()) ? null : $this->minThickness,
        );
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

    /** What lies within both: work is covered here that each of the two covers. */
    public function within(self $other): self
    {
        return new self(
            self::both($this->materials, $other->materials),
            self::both($this->operations, $other->operations),
            self::tighter(
                $this->maxDiameter,
                $other->maxDiameter,
                static fn (Length $mine, Length $theirs): bool => $mine->isAtMost($theirs),
            ),
            $this->companion || $other->companion,
            self::tighter(
                $this->minThickness,
                $other->minThickness,
                static fn (Length $mine, Length $theirs): bool => $mine->isAtLeast($theirs),
            ),
        );
    }

    /**
     * What is covered here and no longer by another: the materials and operations by name (`true` where this one did not
     * limit them and the other does), the other's tighter limits of size, and whether it newly wants a companion.
     *
     * @return array{materials?: list<string>|true, operations?: list<string>|true, max_diameter_mm?: float, min_thickness_mm?: float,
     *     companion?: true}
     */
    public function lostIn(self $other): array
    {
        $diameter = $other->maxDiameter !== null && ($this->maxDiameter === null || $other->maxDiameter->isLessThan($this->maxDiameter));
        $thickness = $other->minThickness !== null
            && ($this->minThickness === null || $other->minThickness->isGreaterThan($this->minThickness));

        return array_filter([
            'materials' => self::gone($this->materials, $other->materials),
            'operations' => self::gone($this->operations, $other->operations),
            'max_diameter_mm' => $diameter ? $other->maxDiameter->inMm() : null,
            'min_thickness_mm' => $thickness ? $other->minThickness->inMm() : null,
            'companion' => $other->companion && ! $this->companion ? true : null,
        ], static fn (mixed $lost): bool => $lost !== null && $lost !== []);
    }

    /**
     * @param  list<string>|null  $mine
     * @param  list<string>|null  $theirs
     * @return list<string>|null
     */
    private static function both(?array $mine, ?array $theirs): ?array
    {
        return $mine === null || $theirs === null ? $mine ?? $theirs : array_values(array_intersect($mine, $theirs));
    }

    /**
     * @param  list<string>|null  $mine
     * @param  list<string>|null  $theirs
     * @return list<string>|true
     */
    private static function gone(?array $mine, ?array $theirs): array|true
    {
        return match (true) {
            $theirs === null => [],
            $mine === null => true,
            default => array_values(array_diff($mine, $theirs)),
        };
    }

    /**
     * @param  \Closure(Length, Length): bool  $first  whether the first of the two is the tighter
     */
    private static function tighter(?Length $mine, ?Length $theirs, \Closure $first): ?Length
    {
        return $mine === null || $theirs === null ? $mine ?? $theirs : ($first($mine, $theirs) ? $mine : $theirs);
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
