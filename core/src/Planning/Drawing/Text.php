<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** Words of a drawing, a length in the reader's units among them where there is one. */
final readonly class Text extends Result
{
    /**
     * @param  'start'|'middle'|'end'  $anchor
     * @param  Message|string  $before  what stands before the length: `⌀ ` for one; or all there is
     * @param  bool  $upright  turned a quarter to the left, as along an upright dimension
     */
    public function __construct(
        public float $x,
        public float $y,
        public string $anchor,
        public Message|string $before,
        public ?float $lengthMm = null,
        public bool $upright = false,
    ) {
    }

    public function toArray(): array
    {
        return ['kind' => 'text', ...parent::toArray()];
    }
}
