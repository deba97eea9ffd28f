<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Lathe\PartOffBatch;
use MillStep\Core\Planning\Lathe\PartOffPlan;
use MillStep\Core\Planning\Lathe\StickOut;
use MillStep\Core\Planning\Step\Centre;
use MillStep\Core\Planning\Step\Deburr;
use MillStep\Core\Planning\Step\Face;
use MillStep\Core\Planning\Step\Grip;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\Measure;
use MillStep\Core\Planning\Step\PartOff;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Planning\Step\Turn;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\DialReading;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/**
 * The working sequence for a batch of rings or bushes from one bar: faced, bored through for all of them,
 * turned, parted off one after the other, each move in whole divisions of this lathe's dial. Without parting
 * off it is one piece at the bar's end; with a support centre it is a long bar made ready to be carried.
 */
final readonly class LathePlan implements Operation
{
    /** About as many diameters of thread as an ordinary hand tap cuts in one go (workshop practice). */
    private const TAP_REACH = 2.5;

    private function __construct(
        public Material $material,
        public Length $bar,
        public Length $thickness,
        public ?Length $outside,
        public ?HoleRequest $bore,
        public bool $partsOff,
        public bool $supportCentre,
        public int $count,
        public Length $blade,
        public Length $cleanup,
        public Length $facing,
        public Length $jawClearance,
        public Length $maxCut,
        public Length $finishCut,
        public ?Length $overhang,
        public LatheSupport $support,
        public MachineSpec $machine,
        public CribSpec $crib,
        public ShopPolicy $policy,
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
        $bar = $fields->object('bar');
        $part = $fields->object('part');
        $diameter = $bar->length('diameter_mm');
        $outside = $part->has('outside_mm') ? $part->length('outside_mm') : null;
        if ($outside?->isGreaterThan($diameter) === true) {
            throw $part->fault('outside_mm', 'planning.larger_than_bar');
        }
        $thickness = $part->length('thickness_mm');
        $partsOff = $part->flag('part_off', true);
        // A batch is bored in one go, so each hole goes through its part.
        $bore = $part->has('bore')
            ? HoleRequest::fromFields(
                $partsOff ? Fields::of([...$part->object('bore')->toArray(), 'through' => true]) : $part->object('bore'),
                $thickness,
            )
            : null;
        if ($bore?->largest()->isLessThan($outside ?? $diameter) === false) {
            throw $part->fault('bore', 'planning.bore_too_wide');
        }

        return new self(
            $bench->material,
            $diameter,
            $thickness,
            $outside,
            $bore,
            $partsOff,
            $part->flag('support_centre', false),
            $fields->integer('count', 1, 200, 1),
            $fields->length('blade_mm', 2),
            $fields->lengthOrZero('cleanup_mm', 0.2),
            $fields->lengthOrZero('facing_mm', 1),
            $fields->lengthOrZero('jaw_clearance_mm', 5),
            $fields->length('max_cut_mm', 1),
            $fields->lengthOrZero('finish_cut_mm', 0.25),
            $fields->has('overhang_mm') ? $fields->length('overhang_mm') : null,
            LatheSupport::from($fields->choice('support', array_column(LatheSupport::cases(), 'value'), 'none')),
            $bench->machine->isLathe() ? $bench->machine : throw $fields->fault('machine', 'planning.no_lathe'),
            $bench->crib,
            $bench->policy,
        );
    }

    /** @throws CoreException when the request contradicts itself */
    public function compute(): PlanResult
    {
        $move = $this->blade->plus($this->thickness)->plus($this->cleanup);
        // Rounded up, so that metal is left and not missing; what the dial really moves is what the bar loses.
        $dial = $this->machine->carriage?->move($move, 'up');
        $stock = $this->partsOff ? ($dial->actual ?? $move)->times($this->count) : $this->thickness;
        $bore = $this->bored($stock, $dial->actual ?? $move);
        $batch = $this->batch($dial->actual ?? $move, $bore?->first('drill'));
        $job = new Job($this->machine, $this->material, $this->crib, $this->policy, $stock, $this->bore->through ?? true);
        $this->face($job, $batch, $bore);
        if ($bore !== null) {
            $this->drill($job, $bore, $stock);
        }
        if ($this->outside !== null && ! $this->outside->equals($this->bar)) {
            $job->add(Turn::make($job, $this->bar, $this->outside, $this->maxCut, $this->finishCut));
        }
        if ($this->partsOff) {
            $job->add(PartOff::make(
                $job,
                $this->outside ?? $this->bar,
                $this->blade,
                $this->thickness,
                $this->cleanup,
                $dial,
                $this->count,
                self::widest($bore),
                $this->support,
            ));
        }
        $job->add(Deburr::pieces($this->count));
        $job->add(Measure::pieces($this->measured(), $this->count > 1, $this->bore));

        return PlanResult::of($job, $bore, $this->figures($batch, $dial));
    }

    /** The drill is given what the policy lets it run past the last cut. */
    private function batch(Length $move, ?PlanStep $drill): PartOffPlan
    {
        $angle = $drill?->figure('total_depth_mm')->terms['angle_deg'] ?? null;

        return (new PartOffBatch($this->partsOff ? $this->count : 1, $this->thickness, $this->blade,
            $move->minus($this->blade)->minus($this->thickness), $this->facing, $drill->diameter ?? Length::zero(),
            is_float($angle) ? $angle : Job::USUAL_POINT_DEG,
            $this->policy->breakthrough, $this->jawClearance))->compute();
    }

    /** The width of the bore; none where nothing is bored. */
    private static function widest(?PlanResult $bore): Length
    {
        return $bore?->first('bore')->diameter ?? $bore?->first('drill')->diameter ?? Length::zero();
    }

    private function face(Job $job, PartOffPlan $batch, ?PlanResult $bore): void
    {
        $firstDrill = ($bore?->first('pilot') ?? $bore?->first('drill'))?->diameter;
        $most = $this->partsOff && $this->overhang === null ? $this->mostAtOnce($batch->move) : 0;
        $held = Grip::of(
            $job,
            $this->bar,
            $this->overhang ?? ($this->partsOff ? $batch->overhang : $this->facing->plus($this->thickness)->plus($this->jawClearance)),
            $this->support,
            $most > 0 ? Message::of('planning.instead.fewer_at_once', ['count' => $most]) : null,
        );
        if ($this->support === LatheSupport::Tailstock) {
            if ($this->bore !== null) {
                $job->missing(Message::of('planning.lacks.tailstock_twice'));
            }
        }
        $short = $this->support !== LatheSupport::Tailstock ? null : Message::of('planning.needs.face_held_short', [
            'most_mm' => $this->bar->times($this->policy->overhangRatio)->inMm(),
        ]);
        $job->add(Face::make($job, $this->bar, $held, $short));
        $centre = match (true) {
            $this->supportCentre => Centre::toCarry($job, $this->bar),
            $firstDrill !== null => Centre::inTheLathe($job, $firstDrill, $this->bar, $bore?->first('drill')->depth ?? $this->thickness),
            default => null,
        };
        if ($centre !== null) {
            $job->add($centre);
        }
    }

    /** The bore is a hole through all rings and cuts. */
    private function bored(Length $stock, Length $move): ?PlanResult
    {
        if ($this->bore === null) {
            return null;
        }
        $bore = $this->tappedInPieces($stock) ? $this->bore->tappedInPieces($move) : $this->bore;

        return (new HolePlan($this->material, $stock, $bore, $this->machine, $this->crib, $this->policy,
            Workholding::get('three_jaw_chuck'), null, $this->bar,
            Length::mm(min($stock->inMm(), $this->bar->inMm() * $this->policy->overhangRatio))))->compute();
    }

    /** Whether a tap does not reach through all pieces at once. */
    private function tappedInPieces(Length $stock): bool
    {
        return $this->partsOff
            && $this->count > 1
            && $this->bore?->purpose === 'tapped'
            && $stock->isGreaterThan($this->bore->largest()->times(self::TAP_REACH));
    }

    private function drill(Job $job, PlanResult $bore, Length $stock): void
    {
        foreach ($bore->operations as $step) {
            if (in_array($step->kind, ['tap', 'insert'], true) && $this->tappedInPieces($stock)) {
                $job->add($step->times($this->count)->because(
                    Message::of('planning.why.tapped_in_pieces', ['all_mm' => round($stock->inMm(), 1)]),
                ));
            } elseif (in_array($step->kind, ['countersink', 'ream', 'bore', 'tap', 'insert'], true)) {
                $job->add($step);
            } elseif (in_array($step->kind, ['pilot', 'step', 'drill'], true)) {
                $job->add($step->as('drill'));
            }
        }
        array_map($job->warn(...), $bore->warnings);
        array_map($job->missing(...), $bore->missing);
        $job->takeSetups($bore->setups);
    }

    /** @return non-empty-list<string> */
    private function measured(): array
    {
        $what = array_keys(array_filter([
            'thickness' => $this->partsOff,
            'outside' => $this->outside !== null,
            'bore' => $this->bore !== null,
            'centre' => $this->supportCentre,
        ]));

        return $what === [] ? ['length'] : $what;
    }

    /** So many pieces stand out no further than is allowed without support. */
    private function mostAtOnce(Length $move): int
    {
        $free = $this->bar->times($this->policy->overhangRatio)->minus($this->facing)->minus($this->jawClearance);

        return $free->isPositive() ? (int) floor($free->ratioTo($move) + 1e-9) : 0;
    }

    /** @return array<string, mixed> */
    private function figures(PartOffPlan $batch, ?DialReading $dial): array
    {
        $overhang = $this->overhang ?? ($this->partsOff ? $batch->overhang
            : $this->facing->plus($this->thickness)->plus($this->jawClearance));
        $stick = (new StickOut($this->bar, $overhang, $this->policy->overhangRatio, $this->machine->throughBore))->compute();

        return [
            ...($this->partsOff ? [
                'count' => $this->count,
                'move_mm' => $batch->move->inMm(),
                'dial_divisions' => $dial?->divisions,
                'drilled_full_depth_mm' => $batch->drilledFullDepth->inMm(),
                'drilled_total_depth_mm' => $batch->drilledTotalDepth->inMm(),
                'bar_used_mm' => $batch->barUsed->inMm(), 'most_at_once' => $this->mostAtOnce($batch->move),
            ] : ['count' => 1]),
            'overhang_mm' => $overhang->inMm(), 'overhang_ratio' => $stick->ratio,
            'overhang_allowed_mm' => $stick->allowed->inMm(), 'overhang_verdict' => $stick->verdict->value,
            'advice' => $stick->advice,
            // What the chuck grips: at least a diameter (workholding.csv, the note).
            'blank_mm' => $overhang->plus($this->bar)->inMm(),
            'goes_through_spindle' => $this->machine->throughBore?->isAtLeast($this->bar),
        ];
    }
}
