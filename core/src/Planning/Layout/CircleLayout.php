<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class CircleLayout extends Result
{
    /** @param  list<Point>  $points */
    public function __construct(
        public array $points,
        public Length $chord,
        public ?Length $ligament,
    ) {
    }

    /** One hole has no neighbour and so no ligament. */
    public function toArray(): array
    {
        return array_filter(parent::toArray(), static fn (mixed $value): bool => $value !== null);
    }
}
