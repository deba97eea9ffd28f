<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class LineLayout extends Result
{
    /** @param  list<Length>  $positions from the left end */
    public function __construct(
        public int $count,
        public array $positions,
        public Length $endInset,
        public bool $edgeOk,
        public ?Length $ligament,
    ) {
    }

    /** One hole has no neighbour and so no ligament. */
    public function toArray(): array
    {
        return array_filter(parent::toArray(), static fn (mixed $value): bool => $value !== null);
    }
}
