<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;

/** What the person says they want to do; what is not said is not judged. */
final readonly class AccessRequest
{
    public function __construct(public ?string $material = null, public ?string $operation = null, public ?Length $diameter = null)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->has('material') ? $fields->text('material') : null,
            $fields->has('operation') ? $fields->text('operation') : null,
            $fields->has('diameter_mm') ? $fields->length('diameter_mm') : null,
        );
    }
}
