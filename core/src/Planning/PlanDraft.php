<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\NoCandidate;
use MillStep\Core\Measure\Length;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\ShopPolicy;
use MillStep\Core\Workshop\SpeedSchool;

/** A plan in the making: its operations so far, what it lacks, and how each powered operation is set up. */
final class PlanDraft
{
    public ?ReamWindow $reamWindow = null;

    /** @var array<string, mixed>|null */
    public ?array $holding = null;

    /** @var array<string, mixed> facts of lathe work, where it is one */
    public array $lathe = [];

    /** @var list<PlanStep> */
    private array $steps = [];

    /** @var list<string> */
    private array $warnings = [];

    /** @var list<string> */
    private array $missing = [];

    /** @var list<array<string, mixed>> */
    private array $setups = [];

    private string $chosen = '';

    public function __construct(
        private readonly MachineSpec $machine,
        private readonly Material $material,
        private readonly ShopPolicy $policy,
        private readonly Length $thickness,
        private readonly bool $through,
    ) {
    }

    public function warn(string $words): void
    {
        $this->warnings[] = $words;
    }

    public function missing(string $words): void
    {
        $this->missing[] = $words;
    }

    /** Why the final drill is the one it is. */
    public function chosen(string $why): void
    {
        $this->chosen = $why;
    }

    /** What another plan, of which this one is made, warns of, lacks and sets up. */
    public function take(PlanResult $other): void
    {
        $this->holding = $other->holding;
        $this->warnings = array_values(array_unique([...$this->warnings, ...$other->warnings]));
        $this->missing = array_values(array_unique([...$this->missing, ...$other->missing]));
        $this->setups = [...$this->setups, ...array_map(fn (array $setup): array => [...$setup, ...$this->lathe], $other->setups)];
    }

    public function step(PlanStep $step): void
    {
        $this->steps[] = $step;
    }

    /** Work in the chuck: held short, and started with a centre drill. Returns how it is held, in words. */
    public function inTheChuck(Length $work, Length $overhang): string
    {
        $stick = (new StickOut($work, $overhang, $this->policy->overhangRatio, $this->machine->throughBore))->compute();
        if ($stick->verdict === OverhangVerdict::SupportNeeded) {
            $this->missing(sprintf('The work stands out %.1f mm, %.1f diameters; over %.3g it needs support: %s.', $overhang->inMm(), $stick->ratio, $this->policy->overhangRatio, str_replace('_', ' ', implode(', ', $stick->advice))));
        }
        $this->lathe = [
            'all_jaws_bear' => true, 'overhang_mm' => $overhang->inMm(), 'work_diameter_mm' => $work->inMm(), 'supported' => false, 'tailstock_clamped' => true,
            'tailstock_spindle_locked' => false, 'tailstock_spindle_out_mm' => 30, 'taper_clean' => true,
        ];

        return sprintf('Stands out %.1f mm, %.1f diameters; %.3g are allowed without support.', $overhang->inMm(), $stick->ratio, $this->policy->overhangRatio);
    }

    /** A short stiff start for the drill that follows. */
    public function startTrue(Length $work): void
    {
        $why = 'A twist drill is limber and wanders; a short stiff start does not.';
        $cautions = ['Taper wiped clean, tailstock clamped.'];
        try {
            $size = (new CentreDrillChoice($work, CentreDrillRange::shipped('metric')))->compute()->size;
            $this->turned('centre', "centre drill $size", CentreDrillRange::bodyOf($size), 'centre_drilling', $why, null, $cautions);
        } catch (NoCandidate $none) {
            $this->warn($none->getMessage().' A spotting drill makes the start instead.');
            $this->step(new PlanStep('centre', 'spotting drill', $why, $cautions));
        }
    }

    /** @param  string|null  $why null for the final drill, which was chosen before */
    public function drillPass(string $kind, string $tool, Drill $drill, ?Drill $before, Length $depth, bool $dubbed, ?string $why, bool $stepped): void
    {
        $deep = DeepHole::of($depth->ratioTo($drill->diameter));
        $factor = OperationFactors::of($before === null ? ($kind === 'pilot' ? 'pilot' : 'drilling') : 'opening_out') * $deep->speedFactor;
        $speed = $this->speed($drill->diameter, $factor, $tool);
        $feed = FeedTable::feed($this->material->group, $drill->diameter) * $deep->feedFactor;
        $point = (new DrillPoint($drill->diameter, $this->material->pointAngleDeg))->compute()->pointLength;
        $total = $depth->plus($point);
        $pecks = (new PeckPlan($drill->diameter, $total, 3, 1, Length::zero()))->compute();
        if ($this->machine->travel?->isLessThan($total) === true) {
            $this->missing(sprintf('The quill of %s travels %.4g mm; %.1f mm are needed. Raise the table half way through, or use another machine.', $this->machine->name, $this->machine->travel->inMm(), $total->inMm()));
        }
        if ($kind === 'drill' && ! $this->through && $total->isAtLeast($this->thickness)) {
            $this->missing(sprintf('With lead, room for chips and the point the hole is %.1f mm deep and comes out of %.4g mm of stock. Take thicker stock, a shallower thread, or drill through.', $total->inMm(), $this->thickness->inMm()));
        }
        $this->steps[] = new PlanStep($kind, $tool, $this->words($why ?? $this->chosen, $speed, $deep), $this->drillCautions($kind, $dubbed),
            $drill->diameter, $speed->chosenRpm, $feed, $depth, $total, $this->onScale($total), $pecks->needed ? $pecks->pecks : [], $this->material->lubricant,
            (new CutTime($drill->diameter, $depth, $this->material->pointAngleDeg, $feed, $speed->chosenRpm, Length::mm(1)))->compute()->timeS, null,
            new SpeedWorking($this->material->cuttingSpeedMMin, $factor, $speed->targetRpm, $speed->verdict));
        $this->setup([
            'tool' => 'twist_drill', 'diameter_mm' => $drill->diameter->inMm(), 'edge' => $this->material->grabs ? 'zero_rake' : 'normal', 'pilot_mm' => $before?->diameter->inMm() ?? 0,
            'final_drill' => $kind === 'drill', 'stepped' => $stepped, 'rpm' => $speed->chosenRpm, 'operation_factor' => $factor, 'depth_mm' => $depth->inMm(), 'total_depth_mm' => $total->inMm(),
            'flute_length_mm' => $total->inMm() + 1, 'hand_tool' => false, 'powered' => true,
        ], []);
    }

    /** A tool other than a drill under power: countersink, machine reamer. */
    /** @param  list<string>  $cautions */
    public function turned(string $kind, string $tool, Length $diameter, string $factor, string $why, ?Length $depth = null, array $cautions = [], ?int $dialDivisions = null): void
    {
        $speed = $this->speed($diameter, OperationFactors::of($factor), $tool);
        $feed = FeedTable::feed($this->material->group, $diameter) * ($kind === 'ream' ? 2 : 1);
        $time = $depth === null ? null : 60 * $depth->inMm() / ($feed * $speed->chosenRpm);
        $this->steps[] = new PlanStep($kind, $tool, $why.' '.$this->speedWords($speed), $cautions, $diameter, $speed->chosenRpm, $feed, $depth, lubricant: $this->material->lubricant, timeS: $time, dialDivisions: $dialDivisions,
            speed: new SpeedWorking($this->material->cuttingSpeedMMin, OperationFactors::of($factor), $speed->targetRpm, $speed->verdict));
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  array<string, float>  $limits  of this plan's tables, where the policy sets none
     */
    public function setup(array $facts, array $limits): void
    {
        $lubricant = $this->material->lubricant;
        $this->setups[] = [
            'machine_kind' => $this->machine->kind, 'machine_in_service' => $this->machine->inService, 'access' => 'alone', 'eye_protection' => true, 'loose_items' => false,
            'chuck_key_in_chuck' => false, 'chuck_tight' => true, 'chips_by_hand' => false, 'rotation' => 'forward', 'sharp' => true, 'changing_speed' => false,
            'material' => $this->material->key, 'thickness_mm' => $this->thickness->inMm(), 'sandwiched' => true, 'through' => $this->through, 'under_hole' => 'scrap',
            'across_open_jaws' => false, 'hooked_stops' => false, 'start' => $this->machine->kind === 'lathe' ? 'centre' : 'punch', 'mark_diameter_mm' => 3, 'lubricant' => $lubricant,
            'holding' => $this->holding['method'] ?? null, 'resisting_force_n' => $this->holding['resisting_force_n'] ?? null, 'lever_mm' => $this->holding['lever_mm'] ?? null,
            ...$this->lathe,
            ...$facts,
            'policy' => array_filter([
                'grab_factor' => $this->policy->grabFactor, 'pilot_school' => $this->policy->pilotSchool->value, 'pilot_threshold_mm' => $this->policy->pilotThreshold->inMm(),
                'web_ratio' => $this->policy->webRatio, 'learner_cap_rpm' => $this->policy->learnerCapRpm, 'overhang_ratio' => $this->policy->overhangRatio, ...$limits,
            ], static fn (mixed $value): bool => $value !== null),
        ];
    }

    public function result(): PlanResult
    {
        $time = array_sum(array_map(static fn (PlanStep $step): float => $step->timeS ?? 0.0, $this->steps));

        return new PlanResult($this->steps, $this->holding, $this->warnings, $this->missing, $this->setups, $time, $this->missing === []);
    }

    private function speed(Length $diameter, float $factor, string $tool): SpeedChoice
    {
        $cap = $this->policy->learnerCapRpm ?? INF;
        if ($this->policy->speedSchool === SpeedSchool::Shop) {
            $cap = min($cap, $this->policy->shopSpeedRpm);
        }
        $speed = (new SpindleSpeed($this->material->cuttingSpeedMMin, $diameter, $factor, $this->machine->speeds, is_finite($cap) ? $cap : null))->compute();
        if ($speed->chosenRpm > min(1.25 * $speed->targetRpm, $cap)) {
            $this->missing(sprintf('The slowest speed of %s is %d rpm; the %s wants %d rpm or less. Use a slower machine.', $this->machine->name, $speed->chosenRpm, $tool, min($speed->targetRpm, $cap)));
        } elseif ($speed->verdict === SpeedVerdict::MachineTooFast) {
            $this->warn(sprintf('The %s runs at %d rpm, a little over its %d rpm: light feed, plenty of lubricant.', $tool, $speed->chosenRpm, $speed->targetRpm));
        }

        return $speed;
    }

    private function words(string $why, SpeedChoice $speed, DeepHole $deep): string
    {
        return trim($why.' '.$this->speedWords($speed).($deep->words === '' ? '' : ' '.$deep->words));
    }

    private function speedWords(SpeedChoice $speed): string
    {
        return match (true) {
            $this->policy->speedSchool === SpeedSchool::Shop => sprintf('Speed: one slow shop speed, the school in force, %d rpm.', $speed->chosenRpm),
            $speed->verdict === SpeedVerdict::Capped => sprintf('Speed: %d rpm, the greatest under the shop\'s cap for learners.', $speed->chosenRpm),
            default => sprintf('Speed: by surface speed %d rpm, rounded down to %d.', $speed->targetRpm, $speed->chosenRpm),
        };
    }

    /** @return list<string> */
    private function drillCautions(string $kind, bool $dubbed): array
    {
        return array_values(array_filter([
            $this->material->grabs ? $this->material->name.' pulls a sharp drill in: '.($dubbed ? 'use the dubbed drill of this crib.' : 'stone a small flat on both lips before it is used.') : null,
            $this->through && $kind !== 'step' ? 'Ease the pressure as it breaks through; let the drill clear, do not snatch.' : null,
            'Chuck key out. Chips by brush, at standstill.',
        ], is_string(...)));
    }

    /** In whole lines of this machine's own scale: a through hole up, a blind one down. */
    private function onScale(Length $depth): Length
    {
        $lines = $depth->ratioTo($this->machine->graduation);

        return $this->machine->graduation->times((int) ($this->through ? ceil($lines - 1e-9) : floor($lines + 1e-9)));
    }
}
