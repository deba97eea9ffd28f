<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Cutting\DrillPoint;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\PlanResult;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\MachineSpec;
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
        public MachineSpec $machine,
    ) {
    }

    /**
     * @throws NoCandidate saying what the crib or the machine lacks
     * @throws CoreException when the hole contradicts itself
     */
    public static function of(HolePlan $wanted): self
    {
        $plan = $wanted->compute();

        return ($plan->ready ? self::planned($wanted, $plan) : null)
            ?? throw NoCandidate::in('machine', 'learning.hole_not_ready', ['sentences' => $plan->missing]);
    }

    /** Of a plan that is made already; null for one without a twist drill: a step drill or a saw has no point to count from. */
    public static function planned(HolePlan $wanted, PlanResult $plan): ?self
    {
        $drill = $plan->first('drill');

        return $drill === null ? null : new self(
            $wanted->material,
            $wanted->thickness,
            $wanted->policy,
            $drill,
            $plan->first('pilot'),
            $plan,
            $wanted->machine,
        );
    }

    /** From the drill's tip touching the work until its full diameter is clear below, or at its depth. */
    public function travel(): Length
    {
        return $this->drill->totalDepth ?? $this->thickness;
    }

    /** How far the tip stands below the face when the lips meet the edge of the pilot: nothing on a mere mark. */
    public function inside(): Length
    {
        $open = $this->pilot?->diameter;
        if ($open === null) {
            return Length::zero();
        }
        $angle = $this->drill->figure('total_depth_mm')->terms['angle_deg'] ?? null;

        return (new DrillPoint($open, is_float($angle) ? $angle : Job::USUAL_POINT_DEG))->compute()->pointLength;
    }

    /** What the machine's depth scale shows when the full width is clear below. */
    public function readingFrom(Length $touch): Length
    {
        return $touch->plus($this->travel())->minus($this->inside());
    }

    /** What it shows when the tip comes out below: from there the drill begins to pull. */
    public function easeFrom(Length $touch): Length
    {
        return $touch->plus($this->thickness)->minus($this->inside());
    }

    /** From the tip to where the drill is as wide as it gets. */
    public function pointLength(): Length
    {
        return $this->drill->totalDepth !== null && $this->drill->depth !== null
            ? $this->drill->totalDepth->minus($this->drill->depth) : Length::zero();
    }

    public function diameter(): Length
    {
        return $this->drill->diameter ?? Length::zero();
    }
}
