<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Result;

/** Straight lines from point to point, in millimetres, y upwards. */
final readonly class Path extends Result
{
    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  string|null  $of  the kind of the step that leaves this line
     */
    public function __construct(public Style $style, public array $points, public bool $closed = false, public bool $hatched = false,
        public ?string $of = null)
    {
    }

    public function toArray(): array
    {
        return array_filter(['kind' => 'path', ...parent::toArray()], static fn (mixed $part): bool => $part !== null);
    }
}
