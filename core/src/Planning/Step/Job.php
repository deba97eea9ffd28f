<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Cutting\DeepHole;
use MillStep\Core\Planning\Cutting\SpeedVerdict;
use MillStep\Core\Planning\Drawing\BeltDrawing;
use MillStep\Core\Planning\Hole\HoldingPlan;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\Process;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** A plan in the making: its operations so far, what it lacks, and how each powered operation is set up. */
final class Job
{
    /** A drill of which nobody said how its point is ground. */
    public const USUAL_POINT_DEG = 118.0;

    /** So far off what the material wants, a point is another one. */
    private const OTHER_POINT_DEG = 5.0;

    public ?HoldingPlan $holding = null;

    /** How wide the start stands open that the next drill finds; null for a mark, which is nearly nothing. */
    public ?Length $mouth = null;

    private bool $straight = false;

    /** The speed that the machine was set to last. */
    private ?float $rpm = null;

    /** @var list<PlanStep> */
    private array $steps = [];

    /** @var list<Message> */
    private array $warnings = [];

    /** @var list<Message> */
    private array $missing = [];

    /** @var list<array<string, mixed>> */
    private array $setups = [];

    /** @var array<string, float> what the ways that were promised keep in this shop */
    private array $limits = [];

    /** @var array<string, mixed> facts that hold for every operation */
    private array $facts;

    public function __construct(
        public readonly MachineSpec $machine,
        public readonly Material $material,
        public readonly CribSpec $crib,
        public readonly ShopPolicy $policy,
        public readonly Length $thickness,
        public readonly bool $through,
    ) {
        $this->facts = [
            'machine_kind' => $machine->kind, 'machine_in_service' => $machine->inService, 'access' => 'alone',
            'eye_protection' => true, 'loose_items' => false, 'guards_closed' => true, 'drift_in_spindle' => false,
            'table_locked' => true,
            'chuck_key_in_chuck' => false, 'chuck_tight' => true, 'chips_by_hand' => false, 'rotation' => 'forward',
            'sharp' => true, 'changing_speed' => false,
            'material' => $material->ownRow ? $material->toFields() : $material->key,
            'thickness_mm' => $thickness->inMm(),
            'sandwiched' => false,
            'through' => $through,
            'under_hole' => 'scrap',
            'across_open_jaws' => false, 'hooked_stops' => false, 'start' => $machine->isLathe() ? 'centre' : 'punch',
            'lubricant' => $material->lubricant->said,
        ];
        if (! $machine->inService) {
            $this->missing(Message::of('planning.lacks.out_of_service', ['machine' => $machine->word()]));
        }
    }

    /** Nothing to warn of is no warning. */
    public function warn(?Message $of): void
    {
        if ($of !== null) {
            $this->warnings[] = $of;
        }
    }

    public function missing(Message $what): void
    {
        $this->missing[] = $what;
    }

    /** What is done under power stands behind eye protection and, where the speed is another, behind how it is changed. */
    public function add(PlanStep $step): void
    {
        if ($step->rpm !== null) {
            $changes = $step->rpm !== $this->rpm;
            $step = $step->standing(...Standing::underPower($this->machine->isLathe()))
                ->setting($changes ? $this->setSpeed($step) : null)
                ->sketched($changes ? BeltDrawing::of($this->machine, $step->rpm) : null);
            $this->rpm = $step->rpm;
        }
        $this->steps[] = $step;
    }

    /** In the state in which this machine's speed may be changed, and in no other. */
    private function setSpeed(PlanStep $step): Message
    {
        return Message::of(PlanStep::SETS_SPEED.$this->machine->speedChange, [
            'chosen_rpm' => $step->rpm ?? 0.0,
            'setting' => $step->setting ?? '',
        ]);
    }

    /** @return list<PlanStep> */
    public function steps(): array
    {
        return $this->steps;
    }

    /** @return list<Message> each once */
    public function warnings(): array
    {
        return Message::distinct($this->warnings);
    }

    /** @return list<Message> each once */
    public function lacks(): array
    {
        return Message::distinct($this->missing);
    }

    /** @return list<array<string, mixed>> */
    public function setups(): array
    {
        return $this->setups;
    }

    /**
     * What the drawing asks for, and the way that is to keep it.
     *
     * @param  'position'|'size'  $kind
     */
    public function promises(string $kind, Length $within, Process $way): void
    {
        $this->holdsTrue(["{$kind}_within_mm" => $within->inMm(), "{$kind}_by" => $way->name]);
        $this->limits[$way->setting()] = $way->keeps->inMm();
    }

    /** @param  array<string, mixed>  $facts  that hold from now on */
    public function holdsTrue(array $facts): void
    {
        $this->facts = [...$this->facts, ...$facts];
    }

    /**
     * The setups of another plan, of which this one is made; how far the work stands out is this plan's to say.
     *
     * @param  list<array<string, mixed>>  $setups
     */
    public function takeSetups(array $setups): void
    {
        $own = array_intersect_key($this->facts, array_flip(['overhang_mm', 'supported']));
        foreach ($setups as $setup) {
            $this->setups[] = [...$setup, ...$own];
        }
    }

    /** Says so where a drill's point is not the one that the material wants. */
    public function judgePoint(Drill $drill, Message $name): void
    {
        $angle = $this->pointAngle($drill);
        if (abs($angle - $this->material->pointAngleDeg) > self::OTHER_POINT_DEG) {
            $this->warn(Message::of('planning.warns.other_point', [
                'material' => $this->material->word(),
                'wanted_deg' => $this->material->pointAngleDeg,
                'drill' => $name,
                'found_deg' => $angle,
            ]));
        }
    }

    /** Of a drill's point, in degrees: as the crib has it, or the usual one. */
    public function pointAngle(Drill $drill): float
    {
        return $this->crib->pointAngle($drill, $this->material) ?? self::USUAL_POINT_DEG;
    }

    /** Speed and feed for a tool; says so where this machine cannot turn slowly enough. */
    public function cut(
        Message $tool,
        Length $diameter,
        string $operation,
        ?DeepHole $deep = null,
        float $feedFactor = 1.0,
        string $instead = 'planning.instead.slower_machine',
    ): Cutting {
        return $this->judged(
            Cutting::of($this->machine, $this->material, $this->policy, $diameter, $operation, $deep, $feedFactor),
            $tool,
            $instead,
        );
    }

    /** Says so where this machine cannot turn slowly enough. */
    public function judged(Cutting $cutting, Message $tool, string $instead = 'planning.instead.slower_machine'): Cutting
    {
        if ($cutting->machineTooFast()) {
            $this->missing(Message::of('planning.lacks.slow_enough', [
                'machine' => $this->machine->word(),
                'slowest_rpm' => $cutting->speed->chosenRpm,
                'tool' => $tool,
                'wanted_rpm' => floor($cutting->wantedRpm()),
                'instead' => Message::of($instead),
            ]));
        } elseif ($cutting->speed->verdict === SpeedVerdict::MachineTooFast) {
            $this->warn(Message::of('planning.warns.a_little_fast'.($this->material->lubricant->isDry() ? '_dry' : ''), [
                'tool' => $tool,
                'chosen_rpm' => $cutting->speed->chosenRpm,
                'wanted_rpm' => floor($cutting->speed->targetRpm),
            ]));
        }

        return $cutting;
    }

    /** Whether the quill, or the tailstock's spindle, reaches so deep. */
    public function reach(Length $total): void
    {
        if ($this->machine->travel?->isLessThan($total) === true) {
            $this->missing(Message::of($this->machine->isLathe() ? 'planning.lacks.tailstock_travel' : 'planning.lacks.quill_travel', [
                'machine' => $this->machine->word(),
                'travel_mm' => $this->machine->travel->inMm(),
                'needed_mm' => round($total->inMm(), 1),
            ]));
        }
    }

    /** This hole is drilled straight in, whatever the school: the plan says why. */
    public function straightIn(): void
    {
        $this->straight = true;
    }

    /**
     * How a powered or critical operation is set up, as the setup review reads it.
     *
     * @param  array<string, mixed>  $facts
     * @param  array<string, float|string>  $limits  of this plan's tables, or where the plan says that it leaves the policy
     */
    public function setup(array $facts, array $limits = []): void
    {
        $this->setups[] = [
            ...$this->facts,
            ...($this->holding === null ? [] : [
                'holding' => $this->holding->holding->method,
                'resisting_force_n' => $this->holding->forceN,
                'lever_mm' => $this->holding->lever->inMm(),
            ]),
            ...$facts,
            'policy' => array_filter([
                'grab_factor' => $this->policy->grab($this->machine->isLathe()),
                'pilot_school' => $this->straight ? 'single' : $this->policy->pilotSchool->value,
                'pilot_threshold_mm' => $this->policy->pilotThreshold->inMm(),
                'web_ratio' => $this->policy->webRatio,
                'learner_cap_rpm' => $this->policy->learnerCapRpm,
                'overhang_ratio' => $this->policy->overhangRatio,
                'thin_sheet_mm' => $this->policy->thinSheet->inMm(),
                'blind_floor_ratio' => $this->policy->blindFloorRatio,
                'blind_floor_mm' => $this->policy->blindFloor->inMm(),
                'blade_reach_ratio' => $this->policy->bladeReachRatio,
                'loose_vice_limit_mm' => $this->policy->looseViceLimit->inMm(),
                'tailstock_least_out_mm' => $this->policy->tailstockLeastOut->inMm(),
                ...$this->limits,
                ...$limits,
            ], static fn (mixed $value): bool => $value !== null),
        ];
    }
}
