<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** Where the holes of a plate lie, whether they lie far enough from its edges, and how each line is set. */
final readonly class LayoutResult extends Result
{
    /**
     * @param  list<LayoutHole>  $holes
     * @param  Length|null  $ligament  what is left between the two nearest neighbours
     * @param  list<Message>  $missing  what cannot be marked or drilled like this, with what would do instead
     */
    public function __construct(
        public int $count,
        public array $holes,
        public Length $edgeWanted,
        public Length $leastEdge,
        public ?Length $ligament,
        public array $missing,
        public bool $ready,
    ) {
    }

    /** One hole has no neighbour: its ligament is null, and the key keeps its unit. */
    public function toArray(): array
    {
        $all = parent::toArray();
        unset($all['ligament']);

        return [...$all, 'ligament_mm' => $this->ligament?->inMm()];
    }
}
