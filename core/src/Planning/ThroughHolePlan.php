<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\ShopPolicy;

final readonly class ThroughHolePlan
{
    /** @param  non-empty-list<DrillPass>  $passes in working order, the final drill last */
    public function __construct(
        public Material $material,
        public Length $thickness,
        public PilotSteps $pilots,
        public array $passes,
        public ShopPolicy $policy,
    ) {
    }

    public function final(): DrillPass
    {
        return $this->passes[count($this->passes) - 1];
    }

    /** Null where the hole is drilled straight in. */
    public function pilot(): ?DrillPass
    {
        return count($this->passes) > 1 ? $this->passes[0] : null;
    }

    /** From the drill's tip touching the plate until its full diameter is clear below: plate, point, and a little. */
    public function travel(): Length
    {
        return $this->thickness->plus($this->final()->pointLength)->plus($this->policy->breakthrough);
    }

    /** What the machine's depth scale shows then. */
    public function readingFrom(Length $touch): Length
    {
        return $touch->plus($this->travel());
    }
}
