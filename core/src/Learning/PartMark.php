<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Length;

/** A hole of a part: where it is marked from the datum, and how wide it becomes. */
final readonly class PartMark
{
    public function __construct(public string $id, public Length $x, public Length $y, public Length $diameter)
    {
    }
}
