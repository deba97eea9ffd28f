<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\BoreGauge;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Lathe\PartOffBatch;
use MillStep\Core\Planning\Lathe\PartOffPlan;
use MillStep\Core\Planning\Lathe\StickOut;
use MillStep\Core\Planning\Lathe\TurningPasses;
use MillStep\Core\Planning\Step\PlanStep;
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

    /** Parting by hand runs at about half the speed of drilling; the table has no row for it, this one has that figure. */
    private const PARTING = 'counterboring';

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
        $bar = $fields->object('bar');
        $part = $fields->object('part');
        $machine = MachineSpec::fromFields($fields->object('machine'));
        $diameter = $bar->length('diameter_mm');
        $outside = $part->has('outside_mm') ? $part->length('outside_mm') : null;
        if ($outside?->isGreaterThan($diameter) === true) {
            throw $part->fault('outside_mm', 'must not be larger than the bar');
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
            throw $part->fault('bore', 'must be smaller than the outside');
        }

        return new self(
            Material::read($fields),
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
            $machine->isLathe() ? $machine : throw $fields->fault('machine', 'must be a lathe'),
            CribSpec::fromFields($fields->object('crib')),
            ShopPolicy::fromFields($fields->objectOrEmpty('policy')),
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
        $batch = $this->batch($dial->actual ?? $move, self::widest($bore));
        $draft = new PlanDraft($this->machine, $this->material, $this->policy, $stock, $this->bore->through ?? true);
        $this->face($draft, $batch, ($bore?->first('pilot') ?? $bore?->first('drill'))?->diameter);
        if ($bore !== null) {
            $this->drill($draft, $bore, $stock);
        }
        $this->turn($draft);
        if ($this->partsOff) {
            $this->partOff($draft, $move, $dial);
        }
        $draft->step(
            new PlanStep(
                'deburr',
                'deburring tool',
                $this->count > 1 ? 'Both faces of every ring.' : 'Every edge that was cut.',
                ['Burrs cut. Standstill first.'],
            ),
        );
        $gauge = $this->bore === null ? null : BoreGauge::of($this->bore, $this->crib);
        $draft->step(new PlanStep('measure', implode('; ', array_unique(['caliper', $gauge->tool ?? 'caliper'])), $this->measuring(),
            figures: $this->bore?->limits === null ? [] : [
                Figure::length(
                    'limits_mm',
                    $this->bore->limits->upper,
                    'limits',
                    '',
                    ['go_mm' => $this->bore->limits->lower->inMm(), 'no_go_mm' => $this->bore->limits->upper->inMm()],
                ),
            ]));

        return $draft->result($this->figures($batch, $dial));
    }

    /** The drill is given what the policy lets it run past the last cut. */
    private function batch(Length $move, Length $drill): PartOffPlan
    {
        return (new PartOffBatch($this->partsOff ? $this->count : 1, $this->thickness, $this->blade,
            $move->minus($this->blade)->minus($this->thickness), $this->facing, $drill, $this->material->pointAngleDeg,
            $this->policy->breakthrough, $this->jawClearance))->compute();
    }

    /** The widest drill of the bore; none where nothing is bored. */
    private static function widest(?PlanResult $bore): Length
    {
        return $bore?->first('drill')->diameter ?? Length::zero();
    }

    private function face(PlanDraft $draft, PartOffPlan $batch, ?Length $firstDrill): void
    {
        $most = $this->partsOff && $this->overhang === null ? $this->mostAtOnce($batch->move) : 0;
        $setting = new LatheSetting($draft, $this->crib);
        $held = $setting->held(
            $this->bar,
            $this->overhang ?? ($this->partsOff ? $batch->overhang : $this->facing->plus($this->thickness)->plus($this->jawClearance)),
            $this->support,
            $most > 0 ? "make at most $most at once" : null,
        );
        if ($this->support === LatheSupport::Tailstock && $this->bore !== null) {
            $draft->missing('The tailstock cannot carry the end and hold the drill at once: let a steady carry it.');
        }
        if ($this->support === LatheSupport::Tailstock) {
            $held .= sprintf(
                ' Face and centre it held short, at most %.4g mm out, then bring it out to the centre.',
                $this->bar->times($this->policy->overhangRatio)->inMm(),
            );
        }
        $cutting = $draft->cut('facing tool', $this->bar, 'drilling');
        $draft->step(new PlanStep('face', 'facing tool', $held.' A square face to measure from, and no crust for the '
            .'centre drill. '.$cutting->words(), [
                'All jaws on the work. Take the chuck key out before anything else.', 'Spindle forward: the top of the work comes towards you.',
            ], $this->bar, $cutting->speed->chosenRpm, $this->machine->speeds->setting($cutting->speed->chosenRpm),
            lubricant: $this->material->lubricant, figures: [$cutting->speedFigure]));
        if ($this->supportCentre) {
            $setting->supportCentre($this->bar);
        } elseif ($firstDrill !== null) {
            $setting->startTrue($this->bar, $firstDrill);
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

    private function drill(PlanDraft $draft, PlanResult $bore, Length $stock): void
    {
        foreach ($bore->operations as $step) {
            if ($step->kind === 'tap' && $this->tappedInPieces($stock)) {
                $draft->step(
                    $step->forEach(
                        $this->count,
                        sprintf(
                            'One piece at a time, each just before it is parted off: through all of them it would be %.1f mm, deeper '
                                .'than a tap cuts.',
                            $stock->inMm(),
                        ),
                    ),
                );
            } elseif (in_array($step->kind, ['ream', 'tap'], true)) {
                $draft->step($step);
            } elseif (in_array($step->kind, ['pilot', 'step', 'drill', 'countersink'], true)) {
                $draft->step($step->as('drill'));
            }
        }
        $draft->take($bore);
        $draft->heldAs($bore);
    }

    private function turn(PlanDraft $draft): void
    {
        if ($this->outside === null || $this->outside->equals($this->bar)) {
            return;
        }
        $passes = (new TurningPasses($this->bar, $this->outside, $this->maxCut, $this->finishCut))->compute()->passes;
        $cutting = $draft->cut('turning tool', $this->bar, 'drilling');
        $deepest = $this->bar->minus($passes[0])->times(0.5);
        $reading = $this->machine->crossSlide?->move($deepest, 'down');
        $words = sprintf('%d pass%s, the last a light one.', count($passes), count($passes) === 1 ? '' : 'es');
        $words .= $reading === null ? '' : sprintf(
            ' The first takes %.3g mm a side: %d divisions of the cross-slide%s, rounded down.',
            $deepest->inMm(),
            $reading->divisions,
            $this->machine->crossSlide?->readsDiameter === true ? ', which shows the diameter' : '',
        );
        $draft->step(new PlanStep('turn', 'turning tool', $words.' '.$cutting->words(),
            ['Chuck key out. Chips are hot and sharp: hook or brush, at standstill.'], $this->outside, $cutting->speed->chosenRpm,
            $this->machine->speeds->setting($cutting->speed->chosenRpm), lubricant: $this->material->lubricant,
            dialDivisions: $reading?->divisions, dial: $reading === null ? null : self::onDial($reading), passes: $passes, figures: [
                $cutting->speedFigure,
                Figure::length(
                    'passes_mm',
                    $this->outside,
                    'passes',
                    'cut = (D − d − 2 · finish) / 2 / passes',
                    [
                        'D_mm' => $this->bar->inMm(),
                        'd_mm' => $this->outside->inMm(),
                        'finish_mm' => $this->finishCut->inMm(),
                        'passes' => (float) count($passes),
                    ],
                ),
            ]));
    }

    private function partOff(PlanDraft $draft, Length $move, ?DialReading $dial): void
    {
        $outside = $this->outside ?? $this->bar;
        $cutting = $draft->cut(
            'parting blade',
            $outside,
            self::PARTING,
            instead: 'Use a slower machine, or saw the piece off and face it.',
        );
        $words = sprintf(
            'Blade %.3g, part %.4g, clean-up %.2g: each move is %.4g mm',
            $this->blade->inMm(),
            $this->thickness->inMm(),
            $this->cleanup->inMm(),
            $move->inMm(),
        );
        $words .= $dial === null ? '.' : sprintf(
            ', %d divisions of this dial%s.',
            $dial->divisions,
            $dial->error->isGreaterThan(Length::zero()) ? sprintf(', rounded up: %.3f mm over', $dial->error->inMm()) : ' exactly',
        );
        $figures = [
            $cutting->speedFigure,
            Figure::length(
                'move_mm',
                $move,
                'move',
                'move = blade + thickness + cleanup',
                ['blade_mm' => $this->blade->inMm(), 'thickness_mm' => $this->thickness->inMm(), 'cleanup_mm' => $this->cleanup->inMm()],
            ),
        ];
        if ($dial !== null && $this->machine->carriage !== null) {
            $figures[] = Figure::number('dial_divisions', 'divisions', $dial->divisions, 'dial', 'divisions = move / graduation', [
                'move_mm' => $move->inMm(),
                'graduation_mm' => $this->machine->carriage->graduation->inMm(),
                'turns' => (float) $dial->turns,
                'rest' => (float) $dial->remainderDivisions,
                'over_mm' => $dial->error->inMm(),
            ]);
        }
        $draft->step(new PlanStep('part_off', 'parting blade', $words.' '.$cutting->words(),
            ['Blade square and on centre. Catch no ring by hand: let it drop onto a rod or cloth.'], $outside, $cutting->speed->chosenRpm,
            $this->machine->speeds->setting($cutting->speed->chosenRpm),
            lubricant: $this->material->lubricant,
            dialDivisions: $dial?->divisions,
            dial: $dial === null ? null : self::onDial($dial),
            repeat: $this->count,
            figures: $figures));
    }

    private static function onDial(DialReading $dial): string
    {
        return $dial->turns === 0
            ? sprintf('%d divisions', $dial->divisions)
            : sprintf('%d turn%s and %d', $dial->turns, $dial->turns === 1 ? '' : 's', $dial->remainderDivisions);
    }

    private function measuring(): string
    {
        $what = array_filter(
            [
                $this->partsOff ? 'Thickness' : null,
                $this->outside === null ? null : 'outside',
                $this->bore === null ? null : 'bore',
                $this->supportCentre ? 'mouth of the centre' : null,
            ],
            is_string(...),
        );
        $words = ucfirst(
            implode(', ', $what !== [] ? $what : ['length']),
        ).($this->count > 1 ? ' of every ring' : '').'; the learner first, the instructor second.';

        return $this->bore?->limits === null
            ? $words
            : $words.sprintf(
                ' Bore %s: from %.3f to %.3f mm.',
                $this->bore->fit,
                $this->bore->limits->lower->inMm(),
                $this->bore->limits->upper->inMm(),
            );
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
