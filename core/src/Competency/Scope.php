<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;

/** What a sign-off covers; what it does not limit is covered. */
final readonly class Scope
{
    /**
     * @param  list<string>|null  $materials
     * @param  list<string>|null  $operations
     */
    public function __construct(
        public ?array $materials,
        public ?array $operations,
        public ?Length $maxDiameter,
        public bool $companion,
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
}
