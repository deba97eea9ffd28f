<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How far work that is caught turns before a hand can let go, and how fast its edge is then. */
final readonly class Reaction implements Operation
{
    public function __construct(public float $rpm, public float $reactionS, public Length $workRadius)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->positive('rpm'), $fields->positive('reaction_s', 0.25), $fields->length('work_radius_mm'));
    }

    public function compute(): Snatch
    {
        $turns = $this->rpm / 60 * $this->reactionS;

        return new Snatch($turns, 360 * $turns, 2 * M_PI * $this->workRadius->inMm() * $this->rpm / 60_000);
    }
}
