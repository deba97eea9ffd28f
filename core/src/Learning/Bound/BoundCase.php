<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Bound;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Learning\BoundHole;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\LathePlan;
use MillStep\Core\Planning\Plan\PlanResult;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** What a lesson is about, as this machine and this crib make it: a hole, or work in the lathe. */
final readonly class BoundCase
{
    /**
     * @param  Length  $thickness  of the stock in the hole's direction; on the lathe the length of one piece
     * @param  HoleRequest|null  $wanted  the hole, or the bore; null where nothing is bored
     * @param  Length|null  $bar  round stock
     * @param  Length|null  $blade  where pieces are parted off
     * @param  BoundHole|null  $hole  at a drill press, where a twist drill makes it
     * @param  LathePlan|null  $lathe  as it was asked for
     */
    private function __construct(
        public PlanResult $plan,
        public Material $material,
        public MachineSpec $machine,
        public ShopPolicy $policy,
        public Length $thickness,
        public ?HoleRequest $wanted,
        public ?Length $bar,
        public ?Length $outside,
        public ?Length $blade,
        public ?BoundHole $hole,
        public ?LathePlan $lathe = null,
    ) {
    }

    /**
     * `{kind: hole | lathe}` and what its plan is asked for.
     *
     * @throws NoCandidate saying what the crib or the machine lacks
     * @throws CoreException when the wish contradicts itself
     */
    public static function of(Bench $bench, Fields $fields): self
    {
        return $fields->choice('kind', ['hole', 'lathe'], 'hole') === 'lathe'
            ? self::lathe(LathePlan::on($bench, $fields)) : self::hole(HolePlan::on($bench, $fields));
    }

    /** @throws CoreException */
    private static function hole(HolePlan $wanted): self
    {
        $plan = self::ready($wanted->compute());

        return new self($plan, $wanted->material, $wanted->machine, $wanted->policy, $wanted->thickness, $wanted->hole,
            $wanted->workDiameter, null, null, $wanted->machine->isLathe() ? null : BoundHole::planned($wanted, $plan));
    }

    /** @throws CoreException */
    private static function lathe(LathePlan $wanted): self
    {
        return new self(self::ready($wanted->compute()), $wanted->material, $wanted->machine, $wanted->policy, $wanted->thickness,
            $wanted->bore, $wanted->bar, $wanted->outside, $wanted->partsOff ? $wanted->blade : null, null, $wanted);
    }

    /** @throws NoCandidate */
    private static function ready(PlanResult $plan): PlanResult
    {
        return $plan->ready ? $plan : throw NoCandidate::in('machine', 'learning.hole_not_ready', ['sentences' => $plan->missing]);
    }

    /**
     * The operations by the names that lessons call them: the last drill is `drill`, what goes before it `pilot`.
     *
     * @return array<string, PlanStep>
     */
    public function steps(): array
    {
        $steps = $drills = [];
        foreach ($this->plan->operations as $step) {
            $step->kind === 'drill' ? $drills[] = $step : $steps[$step->kind] ??= $step;
        }
        if ($drills !== []) {
            $steps['drill'] = $drills[count($drills) - 1];
            count($drills) > 1 && $steps['pilot'] ??= $drills[0];
        }

        return $steps;
    }

    /** How wide the hole is at its widest; null where nothing is bored. */
    public function bore(): ?Length
    {
        return $this->wanted?->largest();
    }

    /** How far the work stands out of the jaws; null away from the lathe. */
    public function out(): ?Length
    {
        $out = $this->plan->batch['overhang_mm'] ?? null;

        return is_float($out) || is_int($out) ? Length::mm($out) : null;
    }

    /** How far it may stand out with nothing to carry its end; null away from the lathe. */
    public function mayStandOut(): ?Length
    {
        return $this->machine->isLathe() && $this->bar !== null ? $this->bar->times($this->policy->overhangRatio) : null;
    }
}
