<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\CoreException;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Exception\NoCandidate;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;
use MillStep\Core\Operation;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;
use MillStep\Core\Setup\DrillingTorque;
use MillStep\Core\Setup\HoldingCheck;
use MillStep\Core\Setup\HoldingVerdict;
use MillStep\Core\Setup\Workholding;
use MillStep\Core\Workshop\ClearanceRule;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;
use MillStep\Core\Workshop\ShopPolicy;

/**
 * The whole working sequence for one hole: this machine, this crib, this material, the shop's schools.
 * What the crib or the machine cannot do is said in `missing`, with what would do instead.
 */
final readonly class HolePlan implements Operation
{
    /** A countersink's lead for a tap is about a tenth wider than the thread. */
    private const LEAD = 1.1;

    public function __construct(
        public Material $material,
        public Length $thickness,
        public HoleRequest $hole,
        public MachineSpec $machine,
        public CribSpec $crib,
        public ShopPolicy $policy,
        public ?Workholding $holding,
        public Length $lever,
        public ?Length $workDiameter = null,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $thickness = $fields->length('thickness_mm');

        return new self(
            MaterialTable::shipped()->get($fields->text('material')),
            $thickness,
            HoleRequest::fromFields($fields->object('hole'), $thickness),
            MachineSpec::fromFields($fields->object('machine')),
            CribSpec::fromFields($fields->object('crib')),
            ShopPolicy::fromFields($fields->objectOrEmpty('policy')),
            $fields->has('holding') ? Workholding::get($fields->text('holding')) : null,
            $fields->length('lever_mm', 40),
            $fields->has('work_diameter_mm') ? $fields->length('work_diameter_mm') : null,
        );
    }

    /** @throws CoreException when the request contradicts itself */
    public function compute(): PlanResult
    {
        $draft = new PlanDraft($this->machine, $this->material, $this->policy, $this->thickness, $this->hole->through);
        if (! $this->machine->inService) {
            $draft->missing(ucfirst($this->machine->name).' is out of service. Choose another machine.');
        }
        $final = $this->finalDrill($draft);
        if ($final === null) {
            return $draft->result();
        }
        $this->prepare($draft);
        $this->hold($draft, $final);
        $this->drill($draft, $final);
        $this->finish($draft, $final);

        return $draft->result();
    }

    /** The drill that makes the hole, or the hole before tap or reamer. */
    private function finalDrill(PlanDraft $draft): ?Drill
    {
        try {
            return match ($this->hole->purpose) {
                'tapped' => $this->tapDrill($draft),
                'clearance' => $this->clearanceDrill($draft),
                'reamed' => $this->preReamDrill($draft),
                default => $this->plainDrill($draft),
            };
        } catch (NoCandidate $none) {
            $draft->missing($none->getMessage());

            return null;
        }
    }

    private function plainDrill(PlanDraft $draft): ?Drill
    {
        $wanted = $this->hole->diameter ?? Length::zero();
        $nearest = Drill::nearest($this->crib->drills, $wanted);
        if ($nearest !== null && ! $nearest->diameter->equals($wanted)) {
            $draft->missing(sprintf('The crib has no %.4g mm drill. The nearest is %s (%.4g mm): if the drawing allows it, ask for that size.', $wanted->inMm(), $nearest->designation, $nearest->diameter->inMm()));
        }
        $draft->chosen('The size on the drawing, from this crib.');

        return $nearest;
    }

    private function clearanceDrill(PlanDraft $draft): Drill
    {
        $thread = $this->thread();
        $table = $thread->clearance($this->policy->clearanceFit);
        $byTable = $this->policy->clearanceRule === ClearanceRule::Table && $table !== null;
        $ideal = $byTable ? $table : $thread->major->plus($this->policy->clearancePlus);
        $draft->chosen($byTable
            ? sprintf('Clearance for %s by the table, %s fit, as the shop\'s policy has it: %.4g mm.', $thread->designation, $this->policy->clearanceFit, $ideal->inMm())
            : sprintf('Clearance for %s: the fastener plus %.4g mm, as the shop\'s policy has it.', $thread->designation, $this->policy->clearancePlus->inMm()));
        if (! $byTable && $this->policy->clearanceRule === ClearanceRule::Table) {
            $draft->warn("The table has no clearance hole for {$thread->designation}; the fastener plus the shop's step stands in.");
        }

        return (new ClearanceHole($ideal, $this->crib->drills))->compute()->drill;
    }

    private function tapDrill(PlanDraft $draft): Drill
    {
        $thread = $this->thread();
        $window = $this->threadWindow();
        $choice = (new TapDrill($thread->major, $thread->pitch, ThreadForm::Cut, $window['target'], $window['min'], $window['max'], $this->crib->drills))->compute();
        $draft->chosen(sprintf('Leaves %.0f %% of a full %s thread; the table asks for %.0f to %.0f %% by hand in %s.', $choice->chosen->percent, $thread->designation, $window['min'], $window['max'], mb_strtolower($this->material->name)));

        return new Drill($choice->chosen->designation, $choice->chosen->diameter);
    }

    private function preReamDrill(PlanDraft $draft): Drill
    {
        $diameter = $this->hole->diameter ?? Length::zero();
        $method = $this->crib->reamerMethod($diameter);
        if ($method === null) {
            $draft->missing(sprintf('The crib has no %.4g mm reamer. Ask for one, or drill to size if the drawing allows it.', $diameter->inMm()));
        }
        $ream = (new ReamPlan($diameter, $this->crib->drills, $this->policy->reamSchool, $this->reamTable($method ?? 'machine'), $this->policy->reamStep))->compute();
        if ($ream->verdict !== ReamVerdict::Good) {
            $draft->missing(sprintf('Before the %.4g mm reamer the crib has %s, which leaves %.2f mm (%s); right is %.2f to %.2f mm.', $diameter->inMm(), $ream->preDrill->designation, $ream->allowance->inMm(), $ream->verdict->value, $ream->window->min->inMm(), $ream->window->max->inMm()));
        }
        $draft->chosen(sprintf('Leaves %.2f mm for the reamer, by the school "%s" that the shop\'s policy has in force.', $ream->allowance->inMm(), str_replace('_', ' ', $this->policy->reamSchool->value)));
        $draft->reamWindow = $ream->window;

        return $ream->preDrill;
    }

    private function prepare(PlanDraft $draft): void
    {
        $draft->step(new PlanStep('clean', 'rag and brush', 'Marks and scribed lines show only on clean stock.'));
        if ($this->machine->kind === 'lathe') {
            $work = $this->workDiameter ?? $this->largest()->times(3);
            $held = $draft->inTheChuck($work, Length::mm(min($this->thickness->inMm() + 5, $this->policy->overhangRatio * $work->inMm())));
            $draft->step(new PlanStep('hold', 'three-jaw chuck', $held, ['All jaws on the work. Take the chuck key out before anything else.']));
            $draft->startTrue($work);

            return;
        }
        $draft->step(new PlanStep('mark_out', 'scriber and square', $this->hole->positionTolerance === null
            ? 'Two scribed lines at right angles from a trued edge.'
            : sprintf('Two scribed lines at right angles; the position has to lie within %.3g mm.', $this->hole->positionTolerance->inMm())));
        $draft->step(new PlanStep('punch', 'centre punch', 'The dimple must be wider than the dead point of the first drill.', ['Eye protection on.']));
        $draft->step(new PlanStep('locate', 'drill point in the mark', 'The dimple pulls the work under the spindle.'));
    }

    private function hold(PlanDraft $draft, Drill $final): void
    {
        $largest = $final->diameter->isGreaterThan($this->largest()) ? $final->diameter : $this->largest();
        $torque = (new DrillingTorque($largest, FeedTable::feed($this->material->group, $largest), $this->material->cuttingForceNMm2))->compute()->torqueNm;
        $holding = $this->holding ?? $this->firstThatHolds($torque, $largest);
        $force = $holding->resistingForceN(WorkFriction::of($this->material->group));
        $check = (new HoldingCheck($torque, $this->policy->grabFactor, $holding->method, $force, $this->lever))->compute();
        if ($check->verdict !== HoldingVerdict::Holds || ! $holding->resistsTurning || ! $holding->resistsLifting) {
            $instead = $this->firstThatHolds($torque, $largest);
            $draft->missing(sprintf('%s does not hold: %.1f N·m is asked for, it resists %.1f N·m.%s', ucfirst($holding->description), $check->demandNm, $holding->resistsTurning ? $check->capacityNm : 0, $instead->method === $holding->method ? ' Grip further out, or use a fixture.' : ' Use instead: '.$instead->description.'.'));
        }
        if ($this->machine->kind !== 'lathe') {
            $draft->step(new PlanStep('hold', $holding->description, sprintf('When the drill grabs it may twist with %.1f N·m (%.1f times the cutting torque); this holding resists %.1f N·m.', $check->demandNm, $this->policy->grabFactor, $check->capacityNm), [
                'No work is held by hand under a powered drill. Against turning and against lifting.',
                'Something soft or a clear gap under the hole; no clamp and no table in the drill\'s way.',
            ]));
        }

        $draft->holding = ['method' => $holding->method, 'description' => $holding->description, 'resisting_force_n' => $force, 'lever_mm' => $this->lever->inMm(), ...$check->toArray()];
    }

    /** The widest that anything cuts, as far as the request says. */
    private function largest(): Length
    {
        return $this->hole->diameter ?? $this->hole->thread->major ?? Length::zero();
    }

    private function firstThatHolds(float $torque, Length $drill): Workholding
    {
        $first = null;
        foreach (Workholding::all() as $holding) {
            if (! $holding->suits($this->machine->kind, $drill)) {
                continue;
            }
            $first ??= $holding;
            $capacity = $holding->resistingForceN(WorkFriction::of($this->material->group)) * $this->lever->inMm() / 1000;
            if ($capacity >= 1.5 * $torque * $this->policy->grabFactor) {
                return $holding;
            }
        }

        return $first ?? Workholding::get($this->machine->kind === 'lathe' ? 'three_jaw_chuck' : 'vice_bolted');
    }

    private function drill(PlanDraft $draft, Drill $final): void
    {
        try {
            $steps = (new PilotPlan($final->diameter, $this->crib->drills, $this->policy->pilotSchool, $this->policy->pilotThreshold, $this->policy->webRatio, $this->policy->maxStepRatio, $this->material->grabs))->compute();
        } catch (NoCandidate $none) {
            $draft->missing($none->getMessage());
            $steps = new PilotSteps([$final], PilotSchool::Single, PilotReason::SingleSchool);
        }
        $before = null;
        $last = count($steps->steps) - 1;
        foreach ($steps->steps as $index => $drill) {
            $kind = match (true) {
                $index === $last => 'drill',
                $index === 0 => 'pilot',
                default => 'step',
            };
            $draft->drillPass($kind, $this->tool($draft, $drill), $drill, $before, $this->depthFor(), $this->crib->isDubbed($drill),
                $kind === 'drill' ? null : $this->pilotWords($steps), $steps->schoolUsed === PilotSchool::Stepped);
            $before = $drill;
        }
    }

    private function pilotWords(PilotSteps $steps): string
    {
        return $steps->schoolUsed === PilotSchool::Stepped
            ? 'Stepped, the school that the shop\'s policy has in force: even steps from a web pilot to the final size.'
            : sprintf('Web pilot, the school that the shop\'s policy has in force: about %.2g of the final drill, as wide as its dead web.', $this->policy->webRatio);
    }

    private function tool(PlanDraft $draft, Drill $drill): string
    {
        if ($this->machine->chuckMax !== null && $drill->diameter->isGreaterThan($this->machine->chuckMax)) {
            $draft->missing(sprintf('The chuck of %s takes up to %.4g mm; a %.4g mm drill wants a taper shank or another machine.', $this->machine->name, $this->machine->chuckMax->inMm(), $drill->diameter->inMm()));
        }

        return $drill->designation.(preg_match('/^[\d.]+$/', $drill->designation) === 1 ? ' mm' : '').' twist drill';
    }

    /** How deep at full diameter: through the stock, to the depth wanted, or for a blind thread with lead and room for chips. */
    private function depthFor(): Length
    {
        if ($this->hole->through || $this->hole->depth === null) {
            return $this->thickness->plus($this->policy->breakthrough);
        }
        if ($this->hole->purpose !== 'tapped') {
            return $this->hole->depth;
        }
        $thread = $this->thread();

        return $this->hole->depth->plus($thread->pitch->times(TapLead::threads($this->tapSequence()) + 1));
    }

    private function finish(PlanDraft $draft, Drill $final): void
    {
        if ($this->hole->purpose === 'tapped') {
            $this->tap($draft, $final);
        } elseif ($this->hole->purpose === 'reamed') {
            $this->ream($draft, $final);
        }
        $draft->step(new PlanStep('deburr', 'deburring tool', 'A burr keeps parts from sitting flat, and cuts.', ['Standstill before anything is unclamped. Chips by brush, never by hand.']));
        $draft->step(new PlanStep('measure', match ($this->hole->purpose) {
            'tapped' => 'thread gauge or screw',
            'reamed' => 'plug gauge, go and no-go',
            default => 'caliper',
        }, 'A drilled hole is nearly always a little over its drill.'));
    }

    private function tap(PlanDraft $draft, Drill $drilled): void
    {
        $thread = $this->thread();
        $draft->turned('countersink', 'countersink', $thread->major->times(self::LEAD), 'countersinking', 'A light lead, a little wider than the thread, starts the tap.');
        foreach ($this->tapSequence()->sequence as $type) {
            if (! $this->crib->hasTap($thread, $type)) {
                $draft->missing(sprintf('The crib has no %s tap for %s.%s', str_replace('_', ' ', $type), $thread->designation, $type === 'spiral_flute' || $type === 'spiral_point' ? ' A set of straight-flute hand taps would do, turned back to break the chip.' : ''));
            }
            $draft->step(new PlanStep('tap', $thread->designation.' '.str_replace('_', ' ', $type).' tap', $this->tapSequence()->reason.($this->tapSequence()->reverseToBreakChip ? ' Turn back half a turn for every turn forward.' : ''),
                ['Power isolated: the spindle is turned by hand. A tap that binds is backed out, not forced.'],
                diameter: $thread->major, depth: $this->hole->depth ?? $this->thickness, lubricant: $this->material->lubricant));
        }
        $draft->setup([
            'tool' => 'tap', 'hand_tool' => true, 'powered' => false, 'rpm' => 0, 'tap_type' => $this->tapSequence()->sequence[0], 'major_mm' => $thread->major->inMm(), 'pitch_mm' => $thread->pitch->inMm(),
            'drilled_mm' => $drilled->diameter->inMm(), 'diameter_mm' => $drilled->diameter->inMm(),
        ], ['thread_percent_min' => $this->threadWindow()['min'], 'thread_percent_max' => $this->threadWindow()['max']]);
    }

    private function ream(PlanDraft $draft, Drill $drilled): void
    {
        $diameter = $this->hole->diameter ?? $drilled->diameter;
        $byHand = $this->crib->reamerMethod($diameter) === 'hand';
        $words = 'Forward going in and coming out, plenty of lubricant, more feed than a drill.';
        $cautions = ['A reamer is never turned backwards.'];
        if ($byHand) {
            $draft->step(new PlanStep('ream', sprintf('%.4g mm hand reamer', $diameter->inMm()), $words, [...$cautions, 'Hand reamer: power isolated, wrench only, steadied by a centre.'], diameter: $diameter, depth: $this->depthFor(), lubricant: $this->material->lubricant));
        } else {
            $draft->turned('ream', sprintf('%.4g mm machine reamer', $diameter->inMm()), $diameter, 'reaming_machine', $words, $this->depthFor(), $cautions);
        }
        $draft->setup([
            'tool' => 'reamer', 'hand_tool' => $byHand, 'powered' => ! $byHand, 'rpm' => 0, 'diameter_mm' => $diameter->inMm(), 'drilled_mm' => $drilled->diameter->inMm(), 'reversed' => false,
            'allowance_min_mm' => $draft->reamWindow?->min->inMm() ?? 0, 'allowance_max_mm' => $draft->reamWindow?->max->inMm() ?? 0,
        ], []);
    }

    private function tapSequence(): TapSequence
    {
        return (new TapChoice($this->hole->through, 'hand', $this->material->group, $this->hole->depth ?? $this->thickness, $this->thread()->major))->compute();
    }

    private function thread(): Thread
    {
        return $this->hole->thread ?? throw InvalidInput::at('hole', 'hole. thread is missing; name one like M8 or 1/4-20.');
    }

    /** @return array{min: float, max: float, target: float} percent of thread by hand in this material */
    private function threadWindow(): array
    {
        foreach (Table::shipped('tap_drill_percent.csv', ['material_group', 'method', 'percent_min', 'percent_max', 'percent_teach'])->map(static fn (Row $row): array => [
            'group' => $row->text('material_group'), 'method' => $row->text('method'),
            'min' => $row->positive('percent_min'), 'max' => $row->positive('percent_max'), 'target' => $row->positive('percent_teach'),
        ]) as $row) {
            if ($row['group'] === $this->material->group && $row['method'] === 'hand') {
                return ['min' => $row['min'], 'max' => $row['max'], 'target' => $row['target']];
            }
        }
        throw NoCandidate::in('material', "The table has no thread percentage for {$this->material->name}; it is not usually tapped.");
    }

    /**
     * @param  'hand'|'machine'  $method
     * @return list<ReamAllowance>
     */
    private function reamTable(string $method): array
    {
        return Table::shipped('reamer_allowance.csv', ['diameter_min_mm', 'diameter_max_mm'])->map(static fn (Row $row): ReamAllowance => new ReamAllowance(
            $row->length('diameter_min_mm'), $row->length('diameter_max_mm'), $row->length("{$method}_allowance_min_mm"), $row->length("{$method}_allowance_max_mm"),
        ));
    }
}
