<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\CoreException;
use MillStep\Core\Measure\Length;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\ShopPolicy;
use MillStep\Core\Workshop\Speeds;

/** A plain through hole on a drill press: which drills in which order, at which speed, and how deep. */
final readonly class ThroughHole
{
    /** @param  non-empty-list<Drill>  $drills of the crib at hand */
    public function __construct(
        public Material $material,
        public Length $thickness,
        public Length $diameter,
        public array $drills,
        public Speeds $speeds,
        public ShopPolicy $policy,
    ) {
    }

    /** @throws CoreException when the crib or the machine cannot make it */
    public function plan(): ThroughHolePlan
    {
        $pilots = (new PilotPlan(
            $this->diameter,
            $this->drills,
            $this->policy->pilotSchool,
            $this->policy->pilotThreshold,
            $this->policy->webRatio,
            $this->policy->maxStepRatio,
            $this->material->grabs,
        ))->compute();
        $passes = [];
        foreach ($pilots->steps as $index => $drill) {
            $factor = OperationFactors::of(match (true) {
                $index > 0 => 'opening_out',
                count($pilots->steps) > 1 => 'pilot',
                default => 'drilling',
            });
            $passes[] = new DrillPass(
                $drill,
                (new SpindleSpeed($this->material->cuttingSpeedMMin, $drill->diameter, $factor, $this->speeds, $this->policy->learnerCapRpm))->compute(),
                $factor,
                (new DrillPoint($drill->diameter, $this->material->pointAngleDeg))->compute()->pointLength,
            );
        }

        return new ThroughHolePlan($this->material, $this->thickness, $pilots, $passes, $this->policy);
    }
}
