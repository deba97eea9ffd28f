<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Stack extends Result
{
    /** @param  list<Length>  $pieces largest first */
    public function __construct(
        public array $pieces,
        public Length $height,
        public Length $error,
    ) {
    }

    /** The pieces' key has no unit of its own: they are millimetres. */
    public function toArray(): array
    {
        return [...parent::toArray(), 'pieces' => array_map(static fn (Length $piece): float => $piece->inMm(), $this->pieces)];
    }
}
