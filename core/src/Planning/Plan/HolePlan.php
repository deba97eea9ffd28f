<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Hole\CrossHole;
use MillStep\Core\Planning\Hole\Demand;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\HoldingPlan;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Step\Bore;
use MillStep\Core\Planning\Step\Centre;
use MillStep\Core\Planning\Step\Clean;
use MillStep\Core\Planning\Step\Countersink;
use MillStep\Core\Planning\Step\Deburr;
use MillStep\Core\Planning\Step\Drill;
use MillStep\Core\Planning\Step\Grip;
use MillStep\Core\Planning\Step\HeadSeat;
use MillStep\Core\Planning\Step\Hold;
use MillStep\Core\Planning\Step\Insert;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\Locate;
use MillStep\Core\Planning\Step\MarkOut;
use MillStep\Core\Planning\Step\Measure;
use MillStep\Core\Planning\Step\Pilots;
use MillStep\Core\Planning\Step\Promise;
use MillStep\Core\Planning\Step\Punch;
use MillStep\Core\Planning\Step\Ream;
use MillStep\Core\Planning\Step\Tap;
use MillStep\Core\Planning\Thread\Tapping;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Policy\StartSchool;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill as Twist;
use MillStep\Core\Workshop\Holding\Ring;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\HoleSaw;
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
     * @param  Length|null  $across  how wide the work is between a vice's jaws
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
        public ?Length $across = null,
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
            $optional('work_width_mm'),
        );
    }

    /** @throws CoreException when the request contradicts itself */
    public function compute(): PlanResult
    {
        $job = new Job($this->machine, $this->material, $this->crib, $this->policy, $this->thickness, $this->hole->through);
        if ($this->hole->purpose === 'bored' && ! $this->machine->isLathe()) {
            $job->missing(Message::of('planning.lacks.boring_machine', ['machine' => $this->machine->word()]));

            return PlanResult::of($job);
        }
        try {
            $final = $this->finalDrill($job);
        } catch (NoCandidate $none) {
            $job->missing($none->says);
            $this->sayWhatLiesAside($job, null, []);

            return PlanResult::of($job);
        }
        $sandwiched = $this->isSheet() && ! $this->takesStepDrill($final) && $final->saw === null;
        $depth = DrilledDepth::of(
            $this->hole,
            $this->thickness,
            $final->drill,
            $this->material,
            $this->policy,
            $this->crib,
            $final->reamer,
            $sandwiched ? Length::mm(Hold::BOARD_MM) : null,
        );
        $pilots = $final->saw === null ? Pilots::of($job, $final->drill, $depth) : Pilots::none($job, $final->drill);
        $this->sayWhatLiesAside($job, $final, $pilots->drills);
        Promise::judge($job, $this->hole, count($pilots->drills) > 1, $final->saw !== null);
        $first = $final->saw === null ? $pilots->drills[0]->diameter : Length::mm(HoleSaw::PILOT_MM);
        $this->hold($job, $final, $pilots);
        $this->machine->isLathe()
            ? $this->prepareLathe($job, $first, $depth)
            : $this->preparePress($job, $first, $depth, $sandwiched);
        $this->drill($job, $final, $pilots, $depth);
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
        if (! $final->noDrill && ! $this->crib->hasEdgeFor($final->drill, $this->material)) {
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
        // Any drill leaves a bore to the bar: none is asked for that does not go into this machine or turns the work in its chuck.
        $held = $this->hole->purpose === 'bored' ? array_values(array_filter($drills, $this->bears(...))) : [];

        return HoleDrill::of($this->hole, $this->material, $this->crib, $this->policy, $held === [] ? $drills : $held, $this->isSheet());
    }

    private function bears(Twist $drill): bool
    {
        $taper = $this->crib->taperOf($drill);
        $goesIn = $taper === null ? $this->machine->chuckMax?->isLessThan($drill->diameter) !== true
            : $this->machine->taper !== null && $taper <= $this->machine->taper;
        $cut = new Ring($drill->diameter, Length::zero());

        return $goesIn && $this->heldAgainst(
            Demand::ofDrill($cut, $this->material, $this->policy->grab($this->machine->isLathe())),
        )->missing === null;
    }

    /**
     * Which good drill stands in for one that is put aside, and which size lies there twice: a good one and one that is not.
     *
     * @param  HoleDrill|null  $final  null where none of the good ones does it
     * @param  list<Twist>  $planned
     */
    private function sayWhatLiesAside(Job $job, ?HoleDrill $final, array $planned): void
    {
        $aside = $this->crib->asideFor($this->material);
        if ($aside === []) {
            return;
        }
        try {
            $best = $this->from([...$this->crib->drillsFor($this->material), ...array_column($aside, 'drill')])->drill;
        } catch (NoCandidate) {
            $best = null;
        }
        foreach ($aside as ['drill' => $drill, 'condition' => $condition]) {
            $terms = ['drill' => Drill::name($drill), 'condition' => Message::of(match ($condition) {
                'dull' => 'planning.condition.dull',
                'regrind' => 'planning.condition.regrind',
                'worn_out' => 'planning.condition.worn_out',
                'lost' => 'planning.condition.lost',
            })];
            $same = static fn (?Twist $other): bool => $other !== null && $other->diameter->equals($drill->diameter);
            // A plan that lacks its drill shows the one that is wanted, or one of the other edge: only the crib knows.
            $good = array_filter($this->crib->drillsFor($this->material), $same) !== [];
            if ($same($best) && ! $good) {
                $job->warn($final?->missing === [] && ! $same($final->drill)
                    ? Message::of('planning.warns.best_drill_aside', [...$terms, 'taken' => Drill::name($final->drill)])
                    : Message::of('planning.warns.only_aside', $terms));
            }
            if ($good && $condition !== 'lost' && array_filter($planned, $same) !== []) {
                $job->warn(Message::of('planning.warns.another_aside', $terms));
            }
        }
    }

    private function hold(Job $job, HoleDrill $final, Pilots $pilots): void
    {
        $job->holding = $this->heldAgainst(Demand::hardest($this->demands($final, $pilots)));
        if ($job->holding->missing !== null) {
            $job->missing($job->holding->missing);
        }
    }

    private function heldAgainst(Demand $demand): HoldingPlan
    {
        return HoldingPlan::of(
            $this->machine->kind,
            $this->material,
            $demand,
            $this->lever ?? ($this->machine->isLathe() ? $this->work()->times(0.5) : Length::mm(self::USUAL_LEVER_MM)),
            $this->lever === null && ! $this->machine->isLathe(),
            $this->holding,
            $this->workDiameter,
            $this->crib,
            $this->across,
        );
    }

    /**
     * All that is cut: each drill around the hole that the one before it left, the seat of a head, the thread.
     *
     * @return non-empty-list<Demand>
     */
    private function demands(HoleDrill $final, Pilots $pilots): array
    {
        $grab = $this->policy->grab($this->machine->isLathe());
        if ($final->saw !== null) {
            return [Demand::ofSaw($final->saw->diameter, $this->material, $grab)];
        }
        $there = Length::zero();
        $demands = [];
        foreach ($this->takesStepDrill($final) ? [] : $pilots->drills as $drill) {
            $demands[] = Demand::ofDrill(new Ring($drill->diameter, $there), $this->material, $grab);
            $there = $drill->diameter;
        }
        $demands[] = Demand::ofDrill(
            $this->takesStepDrill($final) ? $this->crib->stepOf($final->drill->diameter)
                : new Ring($this->hole->head->seat ?? $final->drill->diameter, $there),
            $this->material,
            $grab,
        );
        if ($this->hole->purpose === 'tapped') {
            $thread = $this->hole->theThread();
            $demands[] = Demand::ofTap(
                $this->hole->tapping->major($thread),
                $thread->pitch,
                $this->material,
                $this->hole->tapping->twist(),
            );
        }

        return $demands;
    }

    /** The round stock on the lathe; where nothing is said about it, enough for the hole. */
    private function work(): Length
    {
        return $this->workDiameter ?? $this->hole->largest()->times(3);
    }

    /** Marked, punched, brought under the spindle, held and, where it is asked for, started. */
    private function preparePress(Job $job, Length $firstDrill, DrilledDepth $depth, bool $sandwiched): void
    {
        $round = $this->workDiameter;
        $cross = $round === null ? null : CrossHole::of(
            $round,
            $this->hole->largest(),
            $this->hole->positionTolerance ?? Promise::placing($this->policy)->keeps,
        );
        $job->warn($cross?->weakens());
        $job->add(Clean::make($job));
        $job->add(MarkOut::make($job, $this->hole, $round, $sandwiched));
        $job->add(Punch::make($job, $firstDrill));
        $job->add(Locate::make($job));
        if ($job->holding !== null) {
            $job->add(Hold::atThePress($job, $job->holding, $this->hole->largest(), $round, $sandwiched));
        }
        if ($this->policy->startSchool === StartSchool::Spot || $round !== null || $this->hole->slopeDeg > 0
            || $this->hole->positionTolerance?->isLessThan(Length::mm(self::CLOSE_MM)) === true) {
            $start = Centre::atThePress($job, $firstDrill, $round, $depth->depth);
            $job->add(match (true) {
                $cross !== null => $start->needing($cross->start()),
                $this->hole->slopeDeg > 0 => $start->needing(Message::of('planning.needs.starts_on_slope', [
                    'slope_deg' => $this->hole->slopeDeg,
                ])),
                default => $start,
            });
        }
    }

    private function prepareLathe(Job $job, Length $firstDrill, DrilledDepth $depth): void
    {
        $work = $this->work();
        $allowed = $work->times($this->policy->overhangRatio);
        $out = $this->overhang ?? ($this->thickness->isLessThan($allowed) ? $this->thickness : $allowed);
        $held = Grip::of($job, $work, $out, $this->support);
        $job->add(Clean::make($job));
        $job->add(Hold::inTheLathe($job, $held, ...($this->workDiameter === null
            ? [Message::of('planning.needs.stock_taken', ['work_mm' => $work->inMm()])] : [])));
        $job->add(Centre::inTheLathe($job, $firstDrill, $work, $depth->depth));
    }

    private function drill(Job $job, HoleDrill $final, Pilots $pilots, DrilledDepth $depth): void
    {
        if ($this->takesStepDrill($final)) {
            $job->add(Drill::withStepDrill($job, $final->drill, $depth, $final->why, $final->figure));

            return;
        }
        if ($final->saw !== null) {
            $job->add(Drill::withHoleSaw($job, $final->saw, $depth, $final->why, $final->figure));

            return;
        }
        if ($this->isSheet()) {
            $job->holdsTrue(['sandwiched' => true]);
        }
        $drills = $pilots->drills;
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
                $kind === 'drill' ? $final->why : $pilots->why(),
                $kind === 'drill' ? $final->figure : $pilots->figure($drill),
                $pilots->stepped(),
            ));
            $before = $drill;
        }
    }

    /** Countersunk and tapped, or reamed; then deburred and measured. */
    private function finish(Job $job, HoleDrill $final): void
    {
        if ($this->hole->purpose === 'tapped') {
            $thread = $this->hole->theThread();
            $insert = $this->hole->tapping === Tapping::Insert;
            $job->add(Countersink::make($job, $this->hole->tapping->major($thread), $final->drill->diameter, $insert));
            array_map($job->add(...), Tap::make($job, $this->hole, $final));
            if ($insert) {
                array_map($job->add(...), Insert::make($job, $thread, $this->hole->depth ?? $this->thickness));
            }
        } elseif ($this->hole->purpose === 'reamed') {
            $job->add(Ream::make($job, $this->hole, $final));
        } elseif ($this->hole->purpose === 'bored') {
            array_map($job->add(...), Bore::make(
                $job,
                $this->hole,
                $final->drill->diameter,
                $this->hole->depth ?? $this->thickness,
            ));
        } elseif ($this->hole->head !== null) {
            $job->add(HeadSeat::make($job, $this->hole, $this->hole->head, $final->drill->diameter));
        }
        $job->add(Deburr::make($this->hole->through));
        $job->add(Measure::hole($job, $this->hole, $this->workDiameter !== null && ! $this->machine->isLathe()));
    }

    private function takesStepDrill(HoleDrill $final): bool
    {
        return $this->isSheet() && $this->hole->through && in_array($this->hole->purpose, ['plain', 'clearance'], true)
            && $this->crib->hasStepDrill($final->drill->diameter);
    }

    private function isSheet(): bool
    {
        return ! $this->machine->isLathe() && $this->thickness->isLessThan($this->policy->thinSheet);
    }
}
