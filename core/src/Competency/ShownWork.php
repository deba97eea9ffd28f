<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** All that a learner has shown on the passed sheets of a permit and of those that it builds on. A signature says no more than this. */
final readonly class ShownWork
{
    /** @param  list<Shown>  $shown */
    private function __construct(private array $shown)
    {
    }

    public static function of(Shown ...$shown): self
    {
        return new self(array_values($shown));
    }

    /**
     * As conclusions carry them.
     *
     * @param  array<array-key, array<string, mixed>>  $rows  each as Shown reads it
     *
     * @throws InvalidInput
     */
    public static function fromRows(array $rows): self
    {
        return new self(array_map(static fn (array $one): Shown => Shown::fromFields(Fields::of($one)), array_values($rows)));
    }

    /**
     * The pairs of operation and material that a signature would carry and nobody has seen. A scope that does not limit one of the two
     * carries all of it, so that nothing can be shown for it whole: it is asked to be named.
     *
     * @param  Scope  $wanted  what would be signed, with the permit's own limits in it
     * @return list<array{operation: string, material: string}>
     */
    public function lacks(Scope $wanted): array
    {
        $lacking = [];
        foreach ($wanted->operations ?? Scope::OPERATIONS as $operation) {
            foreach ($wanted->materials ?? ['*'] as $material) {
                $seen = array_filter(
                    $this->shown,
                    static fn (Shown $one): bool => $one->covers($operation, $material, $wanted->maxDiameter),
                );
                $seen === [] && $lacking[] = ['operation' => $operation, 'material' => $material];
            }
        }

        return $lacking;
    }

    /** @return list<array{operation?: string, materials: list<string>, up_to_mm?: float}> */
    public function toArray(): array
    {
        return array_map(static fn (Shown $one): array => $one->toArray(), $this->shown);
    }
}
