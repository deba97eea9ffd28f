<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** What one line of a passed sheet shows: an operation, the materials that it was seen in, and up to which size it counts. */
final readonly class Shown
{
    /**
     * @param  string|null  $operation  null: a sheet that does not say; whatever is done was seen, in its own material
     * @param  list<string>  $materials
     */
    private function __construct(public ?string $operation, public array $materials, public ?Length $upTo)
    {
    }

    /**
     * @param  Fields  $fields  `{operation?, materials, up_to_mm?}`
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->has('operation') ? $fields->choice('operation', Scope::OPERATIONS) : null,
            $fields->texts('materials'),
            $fields->has('up_to_mm') ? $fields->length('up_to_mm') : null,
        );
    }

    public function covers(string $operation, string $material, ?Length $diameter): bool
    {
        return ($this->operation === null || $this->operation === $operation) && in_array($material, $this->materials, true)
            && ($this->upTo === null || ($diameter !== null && $diameter->isAtMost($this->upTo)));
    }

    /** @return array{operation?: string, materials: list<string>, up_to_mm?: float} */
    public function toArray(): array
    {
        return [
            ...$this->operation === null ? [] : ['operation' => $this->operation],
            'materials' => $this->materials,
            ...$this->upTo === null ? [] : ['up_to_mm' => $this->upTo->inMm()],
        ];
    }
}
