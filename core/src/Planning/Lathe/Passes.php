<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Passes extends Result
{
    /** @param  list<Length>  $passes diameters in working order */
    public function __construct(
        public array $passes,
    ) {
    }

    /** The key has no unit of its own: they are diameters in millimetres. */
    public function toArray(): array
    {
        return ['passes' => array_map(static fn (Length $diameter): float => $diameter->inMm(), $this->passes)];
    }
}
