<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** What the person says they want to do. What is not said is not judged here, and asked for by Access where a scope limits it. */
final readonly class AccessRequest
{
    public function __construct(
        public ?string $material = null,
        public ?string $operation = null,
        public ?Length $diameter = null,
        public ?Length $thickness = null,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->has('material') ? $fields->text('material') : null,
            $fields->has('operation') ? $fields->text('operation') : null,
            $fields->has('diameter_mm') ? $fields->length('diameter_mm') : null,
            $fields->has('thickness_mm') ? $fields->length('thickness_mm') : null,
        );
    }
}
