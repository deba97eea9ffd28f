<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Result;

final readonly class Circle extends Result
{
    public function __construct(public Style $style, public float $x, public float $y, public float $radius)
    {
    }

    public function toArray(): array
    {
        return ['kind' => 'circle', ...parent::toArray()];
    }
}
