<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class BlindDepth extends Result
{
    public function __construct(
        public Length $fullDiameterDepth,
        public Length $totalDepth,
        public ?Length $remaining,
        public ?bool $breaksThrough,
    ) {
    }

    /** What depends on a thickness is left out where none was given. */
    public function toArray(): array
    {
        return array_filter(parent::toArray(), static fn (mixed $value): bool => $value !== null);
    }
}
