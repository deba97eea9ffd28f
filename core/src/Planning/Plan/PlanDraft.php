<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Cutting\DeepHole;
use MillStep\Core\Planning\Cutting\SpeedVerdict;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\HoldingPlan;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** A plan in the making: its operations so far, what it lacks, and how each powered operation is set up. */
final class PlanDraft
{
    private const SLOWER = 'Use a slower machine.';

    public ?HoldingPlan $holding = null;

    /** @var array{array<string, mixed>|null, Figure|null} of a plan that this one is made of */
    private array $held = [null, null];

    /** @var list<PlanStep> */
    private array $steps = [];

    /** @var list<string> */
    private array $warnings = [];

    /** @var list<string> */
    private array $missing = [];

    /** @var list<array<string, mixed>> */
    private array $setups = [];

    /** @var array<string, mixed> facts that hold for every operation */
    private array $facts;

    public function __construct(
        public readonly MachineSpec $machine,
        public readonly Material $material,
        public readonly ShopPolicy $policy,
        public readonly Length $thickness,
        public readonly bool $through,
    ) {
        $this->facts = [
            'machine_kind' => $machine->kind, 'machine_in_service' => $machine->inService, 'access' => 'alone',
            'eye_protection' => true, 'loose_items' => false,
            'chuck_key_in_chuck' => false, 'chuck_tight' => true, 'chips_by_hand' => false, 'rotation' => 'forward',
            'sharp' => true, 'changing_speed' => false,
            'material' => $material->ownRow ? $material->toFields() : $material->key,
            'thickness_mm' => $thickness->inMm(),
            'sandwiched' => false,
            'through' => $through,
            'under_hole' => 'scrap',
            'across_open_jaws' => false, 'hooked_stops' => false, 'start' => $machine->isLathe() ? 'centre' : 'punch',
            'mark_diameter_mm' => 3, 'lubricant' => $material->lubricant,
        ];
        if (! $machine->inService) {
            $this->missing(ucfirst($machine->name).' is out of service. Choose another machine.');
        }
    }

    /** Nothing to warn of is no warning. */
    public function warn(?string $words): void
    {
        if ($words !== null) {
            $this->warnings[] = $words;
        }
    }

    public function missing(string $words): void
    {
        $this->missing[] = $words;
    }

    public function step(PlanStep $step): void
    {
        $this->steps[] = $step;
    }

    /** @param  array<string, mixed>  $facts  that hold from now on */
    public function holdsTrue(array $facts): void
    {
        $this->facts = [...$this->facts, ...$facts];
    }

    /** What another plan, of which this one is made, warns of, lacks and sets up. */
    public function take(PlanResult $other): void
    {
        $this->warnings = array_values(array_unique([...$this->warnings, ...$other->warnings]));
        $this->missing = array_values(array_unique([...$this->missing, ...$other->missing]));
        $this->setups = [
            ...$this->setups,
            ...array_map(fn (array $setup): array => [...$setup, ...$this->overhangFacts()], $other->setups),
        ];
    }

    /** @return array<string, mixed> how far the work stands out is this plan's to say, not that of its bore */
    private function overhangFacts(): array
    {
        return array_intersect_key($this->facts, array_flip(['overhang_mm', 'supported']));
    }

    /** The work is held as in another plan, of which this one is made. */
    public function heldAs(PlanResult $other): void
    {
        $this->held = [$other->holding, $other->holdingFigure];
    }

    /** Speed and feed for a tool; says so where this machine cannot turn slowly enough. */
    public function cut(
        string $tool,
        Length $diameter,
        string $operation,
        ?DeepHole $deep = null,
        float $feedFactor = 1.0,
        string $instead = self::SLOWER,
    ): Cutting {
        return $this->judged(
            Cutting::of($this->machine, $this->material, $this->policy, $diameter, $operation, $deep, $feedFactor),
            $tool,
            $instead,
        );
    }

    /** Says so where this machine cannot turn slowly enough. */
    public function judged(Cutting $cutting, string $tool, string $instead = self::SLOWER): Cutting
    {
        if ($cutting->machineTooFast()) {
            $this->missing(
                sprintf(
                    'The slowest speed of %s is %d rpm; the %s wants %d rpm or less. %s',
                    $this->machine->name,
                    $cutting->speed->chosenRpm,
                    $tool,
                    $cutting->wantedRpm(),
                    $instead,
                ),
            );
        } elseif ($cutting->speed->verdict === SpeedVerdict::MachineTooFast) {
            $this->warn(
                sprintf(
                    'The %s runs at %d rpm, a little over its %d rpm: light feed, plenty of lubricant.',
                    $tool,
                    $cutting->speed->chosenRpm,
                    $cutting->speed->targetRpm,
                ),
            );
        }

        return $cutting;
    }

    /** Whether the drive, the quill and the chuck reach so deep. */
    public function reach(Length $total): void
    {
        if ($this->machine->travel?->isLessThan($total) === true) {
            $this->missing(sprintf($this->machine->isLathe() ? 'The tailstock spindle of %s travels %.4g mm; %.1f mm are needed. Drill '
                .'half way, move the tailstock up, clamp it and go on, or use another machine.' : 'The quill of %s travels %.4g mm; '
                    .'%.1f mm are needed. Raise the table half way through, or use another machine.',
                $this->machine->name, $this->machine->travel->inMm(), $total->inMm()));
        }
    }

    /**
     * How a powered or critical operation is set up, as the setup review reads it.
     *
     * @param  array<string, mixed>  $facts
     * @param  array<string, float>  $limits  of this plan's tables, where the policy sets none
     */
    public function setup(array $facts, array $limits = []): void
    {
        $this->setups[] = [
            ...$this->facts,
            'holding' => $this->holding?->holding->method,
            'resisting_force_n' => $this->holding?->forceN,
            'lever_mm' => $this->holding?->lever->inMm(),
            ...$facts,
            'policy' => array_filter([
                'grab_factor' => $this->policy->grabFactor,
                'pilot_school' => $this->policy->pilotSchool->value,
                'pilot_threshold_mm' => $this->policy->pilotThreshold->inMm(),
                'web_ratio' => $this->policy->webRatio,
                'learner_cap_rpm' => $this->policy->learnerCapRpm,
                'overhang_ratio' => $this->policy->overhangRatio,
                'thin_sheet_mm' => $this->policy->thinSheet->inMm(),
                'loose_vice_limit_mm' => $this->policy->looseViceLimit->inMm(),
                'tailstock_least_out_mm' => $this->policy->tailstockLeastOut->inMm(),
                ...$limits,
            ], static fn (mixed $value): bool => $value !== null),
        ];
    }

    /** @param  array<string, mixed>|null  $batch */
    public function result(?array $batch = null): PlanResult
    {
        $time = array_sum(array_map(static fn (PlanStep $step): float => ($step->timeS ?? 0.0) * ($step->repeat ?? 1), $this->steps));

        return new PlanResult(
            $this->steps,
            $this->holding?->toArray() ?? $this->held[0],
            $this->holding->figure ?? $this->held[1],
            $this->warnings,
            $this->missing,
            $this->setups,
            $time,
            $this->missing === [],
            $batch,
        );
    }
}
