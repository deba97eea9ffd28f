<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\PlanResult;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\Material;

/** The hole that a lesson is bound to, as its plan makes it on this machine from this crib. */
final readonly class BoundHole
{
    private function __construct(
        public Material $material,
        public Length $thickness,
        public ShopPolicy $policy,
        public PlanStep $drill,
        public ?PlanStep $pilot,
        public PlanResult $plan,
    ) {
    }

    /**
     * @throws NoCandidate saying what the crib or the machine lacks
     * @throws CoreException when the hole contradicts itself
     */
    public static function of(HolePlan $wanted): self
    {
        $plan = $wanted->compute();
        $drill = $plan->first('drill');

        return $drill !== null && $plan->ready ? new self(
            $wanted->material,
            $wanted->thickness,
            $wanted->policy,
            $drill,
            $plan->first('pilot'),
            $plan,
        )
            : throw NoCandidate::in('machine', 'learning.hole_not_ready', ['sentences' => $plan->missing]);
    }

    /** From the drill's tip touching the work until its full diameter is clear below, or at its depth. */
    public function travel(): Length
    {
        return $this->drill->totalDepth ?? $this->thickness;
    }

    /** What the machine's depth scale shows then. */
    public function readingFrom(Length $touch): Length
    {
        return $touch->plus($this->travel());
    }

    public function diameter(): Length
    {
        return $this->drill->diameter ?? Length::zero();
    }
}
