<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\HoldingPlan;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Hole\PilotPlan;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Step\Centre;
use MillStep\Core\Planning\Step\Clean;
use MillStep\Core\Planning\Step\Countersink;
use MillStep\Core\Planning\Step\Deburr;
use MillStep\Core\Planning\Step\Drill;
use MillStep\Core\Planning\Step\Grip;
use MillStep\Core\Planning\Step\Hold;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\Locate;
use MillStep\Core\Planning\Step\MarkOut;
use MillStep\Core\Planning\Step\Measure;
use MillStep\Core\Planning\Step\Punch;
use MillStep\Core\Planning\Step\Ream;
use MillStep\Core\Planning\Step\Tap;
use MillStep\Core\Policy\PilotSchool;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Policy\StartSchool;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill as Twist;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/**
 * The whole working sequence for one hole: this machine, this crib, this material, the shop's schools.
 * What the crib or the machine cannot do is said in `missing`, with what would do instead.
 */
final readonly class HolePlan implements Operation
{
    /** Where nothing is said about it, the grip is taken to lie so far from the hole. */
    private const USUAL_LEVER_MM = 40;

    /** A position held closer than this is not left to the punch mark alone. */
    private const CLOSE_MM = 0.3;

    /**
     * @param  Length  $thickness  of the stock in the hole's direction; on the lathe the length of the piece
     * @param  Length|null  $workDiameter  of round stock: at the drill press a hole across the bar, on the lathe along it
     * @param  Length|null  $overhang  out of the chuck; as short as the ratio wants where nothing is said
     */
    public function __construct(
        public Material $material,
        public Length $thickness,
        public HoleRequest $hole,
        public MachineSpec $machine,
        public CribSpec $crib,
        public ShopPolicy $policy,
        public ?Workholding $holding = null,
        public ?Length $lever = null,
        public ?Length $workDiameter = null,
        public ?Length $overhang = null,
        public LatheSupport $support = LatheSupport::None,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return self::on(Bench::fromFields($fields), $fields);
    }

    /**
     * With a bench that is there already; of the fields only what is wished is read.
     *
     * @throws CoreException
     */
    public static function on(Bench $bench, Fields $fields): self
    {
        $thickness = $fields->length('thickness_mm');
        $optional = static fn (string $key): ?Length => $fields->has($key) ? $fields->length($key) : null;

        return new self(
            $bench->material,
            $thickness,
            HoleRequest::fromFields($fields->object('hole'), $thickness),
            $bench->machine,
            $bench->crib,
            $bench->policy,
            $fields->has('holding') ? Workholding::get($fields->text('holding')) : null,
            $optional('lever_mm'),
            $optional('work_diameter_mm'),
            $optional('overhang_mm'),
            LatheSupport::from($fields->choice('support', array_column(LatheSupport::cases(), 'value'), 'none')),
        );
    }

    /** @throws CoreException when the request contradicts itself */
    public function compute(): PlanResult
    {
        $job = new Job($this->machine, $this->material, $this->crib, $this->policy, $this->thickness, $this->hole->through);
        try {
            $final = $this->finalDrill($job);
        } catch (NoCandidate $none) {
            $job->missing($none->says);

            return PlanResult::of($job);
        }
        $drills = $this->drillsAcross($job, $final->drill);
        $this->hold($job, $final->drill);
        $this->machine->isLathe() ? $this->prepareLathe($job, $drills[0]->diameter) : $this->preparePress($job, $drills[0]->diameter);
        $this->drill($job, $final, $drills);
        $this->finish($job, $final);

        return PlanResult::of($job);
    }

    /** The drill of the edge that the material asks for, or one of the other edge with what has to be done to it. */
    private function finalDrill(Job $job): HoleDrill
    {
        try {
            $final = $this->from($this->crib->drillsFor($this->material));
        } catch (NoCandidate $none) {
            $final = null;
        }
        if ($final === null || $final->missing !== []) {
            $other = $this->from($this->crib->allDrills());
            $final = $final === null || count($other->missing) < count($final->missing) ? $other : $final;
        }
        $right = $this->material->needsZeroRake
            ? $this->crib->isDubbed($final->drill)
            : $this->material->grabs || $this->crib->isSharp($final->drill);
        if (! $right) {
            $terms = ['drill' => Drill::name($final->drill), 'material' => $this->material->word()];
            $this->material->needsZeroRake
                ? $job->warn(Message::of('planning.warns.no_dubbed_drill', $terms))
                : $job->missing(Message::of('planning.lacks.sharp_drill', $terms));
        }
        array_map($job->missing(...), $final->missing);
        array_map($job->warn(...), $final->warnings);

        return $final;
    }

    /**
     * @param  non-empty-list<Twist>  $drills
     *
     * @throws NoCandidate
     */
    private function from(array $drills): HoleDrill
    {
        return HoleDrill::of($this->hole, $this->material, $this->crib, $this->policy, $drills);
    }

    private function hold(Job $job, Twist $final): void
    {
        $largest = $final->diameter->isGreaterThan($this->hole->largest()) ? $final->diameter : $this->hole->largest();
        $lever = $this->lever ?? ($this->machine->isLathe() ? $this->work()->times(0.5) : Length::mm(self::USUAL_LEVER_MM));
        $job->holding = HoldingPlan::of(
            $this->machine->kind,
            $this->material,
            $this->policy,
            $largest,
            $lever,
            $this->holding,
            $this->workDiameter !== null,
        );
        if ($job->holding->missing !== null) {
            $job->missing($job->holding->missing);
        }
    }

    /** The round stock on the lathe; where nothing is said about it, enough for the hole. */
    private function work(): Length
    {
        return $this->workDiameter ?? $this->hole->largest()->times(3);
    }

    /** Marked, punched, brought under the spindle, held and, where it is asked for, started. */
    private function preparePress(Job $job, Length $firstDrill): void
    {
        $round = $this->workDiameter;
        $job->add(Clean::make($job));
        $job->add(MarkOut::make($job, $this->hole, $round));
        $job->add(Punch::make($job, $firstDrill));
        $job->add(Locate::make($job));
        if ($job->holding !== null) {
            $job->add(Hold::atThePress($job, $job->holding, $round !== null));
        }
        if ($this->policy->startSchool === StartSchool::Spot || $round !== null
            || $this->hole->positionTolerance?->isLessThan(Length::mm(self::CLOSE_MM)) === true) {
            $job->add(Centre::atThePress($job, $firstDrill, $round));
        }
    }

    private function prepareLathe(Job $job, Length $firstDrill): void
    {
        $work = $this->work();
        $allowed = $work->times($this->policy->overhangRatio);
        $out = $this->overhang ?? ($this->thickness->isLessThan($allowed) ? $this->thickness : $allowed);
        $held = Grip::of($job, $work, $out, $this->support);
        $job->add(Clean::make($job));
        $job->add(Hold::inTheLathe($job, $held));
        $job->add(Centre::inTheLathe($job, $firstDrill, $work));
    }

    /** @param  non-empty-list<Twist>  $drills  in working order, the final one last */
    private function drill(Job $job, HoleDrill $final, array $drills): void
    {
        $depth = DrilledDepth::of($this->hole, $this->thickness, $final->drill, $this->material, $this->policy, $this->crib);
        if ($this->isSheet() && $this->hole->through && in_array($this->hole->purpose, ['plain', 'clearance'], true)
            && $this->crib->hasStepDrill($final->drill->diameter)) {
            $job->add(Drill::withStepDrill($job, $final->drill, $depth, $final->why, $final->figure));

            return;
        }
        if ($this->isSheet()) {
            $job->holdsTrue(['sandwiched' => true]);
        }
        $last = count($drills) - 1;
        $before = null;
        foreach ($drills as $index => $drill) {
            $kind = match (true) {
                $index === $last => 'drill',
                $index === 0 => 'pilot',
                default => 'step',
            };
            $job->add(Drill::make(
                $job,
                $kind,
                $drill,
                $before,
                $depth,
                $kind === 'drill' ? $final->why : $this->whyPilot($drills),
                $kind === 'drill' ? $final->figure : $this->pilotFigure($drill, $drills[$last]),
                count($drills) > 2,
            ));
            $before = $drill;
        }
    }

    /** Countersunk and tapped, or reamed; then deburred and measured. */
    private function finish(Job $job, HoleDrill $final): void
    {
        if ($this->hole->purpose === 'tapped') {
            $job->add(Countersink::make($job, $this->hole->theThread()));
            array_map($job->add(...), Tap::make($job, $this->hole, $final));
        } elseif ($this->hole->purpose === 'reamed') {
            $job->add(Ream::make($job, $this->hole, $final));
        }
        $job->add(Deburr::make());
        $job->add(Measure::hole($job, $this->hole));
    }

    private function isSheet(): bool
    {
        return ! $this->machine->isLathe() && $this->thickness->isLessThan($this->policy->thinSheet);
    }

    /**
     * The drills that lead up to the final one, by the pilot school in force.
     *
     * @return non-empty-list<Twist>
     */
    private function drillsAcross(Job $job, Twist $final): array
    {
        $drills = array_values(
            array_filter(
                $this->crib->drillsFor($this->material),
                static fn (Twist $drill): bool => ! $drill->diameter->equals($final->diameter),
            ),
        );
        try {
            return (new PilotPlan($final->diameter, [...$drills, $final], $this->policy->pilotSchool, $this->policy->pilotThreshold,
                $this->policy->webRatio, $this->policy->maxStepRatio, $this->material->grabs))->compute()->steps;
        } catch (NoCandidate $none) {
            $job->missing($none->says);

            return [$final];
        }
    }

    /** @param  list<Twist>  $drills */
    private function whyPilot(array $drills): Message
    {
        return Message::of(match (true) {
            count($drills) > 2 => 'planning.pilot.stepped',
            $this->policy->pilotSchool === PilotSchool::Stepped => 'planning.pilot.stepped_once',
            default => 'planning.pilot.web',
        }, ['web_ratio' => $this->policy->webRatio]);
    }

    private function pilotFigure(Twist $drill, Twist $final): Figure
    {
        return Figure::drill(
            'diameter_mm',
            $drill->designation,
            $drill->diameter,
            'pilot.'.$this->policy->pilotSchool->value,
            'd ≥ w · D',
            ['w' => $this->policy->webRatio, 'D_mm' => $final->diameter->inMm(), 'd_mm' => $drill->diameter->inMm()],
        );
    }
}
