<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\CoreException;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;
use MillStep\Core\Operation;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;
use MillStep\Core\Workshop\ShopPolicy;

/**
 * The working sequence for a batch of rings or bushes from one bar: faced, bored through for all of them,
 * turned, parted off one after the other, each move in whole divisions of this lathe's dial.
 */
final readonly class LathePlan implements Operation
{
    /** Parting by hand runs at about half the speed of drilling; the table has no row for it, this one has that figure. */
    private const PARTING = 'counterboring';

    /** @param  Fields  $holeFields  the whole input, from which the bore's own plan is read */
    private function __construct(
        public Material $material,
        public Length $bar,
        public Length $thickness,
        public ?Length $outside,
        public int $count,
        public Length $blade,
        public Length $cleanup,
        public Length $facing,
        public Length $jawClearance,
        public Length $maxCut,
        public Length $finishCut,
        public MachineSpec $machine,
        public ShopPolicy $policy,
        private Fields $holeFields,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $bar = $fields->object('bar');
        $part = $fields->object('part');
        $machine = MachineSpec::fromFields($fields->object('machine'));
        $outside = $part->has('outside_mm') ? $part->length('outside_mm') : null;
        if ($outside?->isGreaterThan($bar->length('diameter_mm')) === true) {
            throw $part->fault('outside_mm', 'must not be larger than the bar');
        }

        return new self(
            MaterialTable::shipped()->get($fields->text('material')),
            $bar->length('diameter_mm'),
            $part->length('thickness_mm'),
            $outside,
            $fields->integer('count', 1, 200),
            $fields->length('blade_mm', 2),
            $fields->lengthOrZero('cleanup_mm', 0.2),
            $fields->lengthOrZero('facing_mm', 1),
            $fields->lengthOrZero('jaw_clearance_mm', 5),
            $fields->length('max_cut_mm', 1),
            $fields->lengthOrZero('finish_cut_mm', 0.25),
            $machine->kind === 'lathe' ? $machine : throw $fields->fault('machine', 'must be a lathe'),
            ShopPolicy::fromFields($fields->objectOrEmpty('policy')),
            $fields,
        );
    }

    /** @throws CoreException when the request contradicts itself */
    public function compute(): PlanResult
    {
        $move = $this->blade->plus($this->thickness)->plus($this->cleanup);
        $stock = $move->times($this->count);
        $bore = $this->bore($stock);
        $draft = new PlanDraft($this->machine, $this->material, $this->policy, $stock, true);
        $held = $draft->inTheChuck($this->bar, $this->facing->plus($stock)->plus($this->jawClearance));
        $draft->step(new PlanStep('face', 'facing tool', $held.' A square face to measure from, and no crust for the centre drill.', [
            'All jaws on the work. Take the chuck key out before anything else.', 'The top of the work comes towards you.',
        ]));
        $draft->startTrue($this->bar);
        foreach ($bore->operations as $step) {
            if (in_array($step->kind, ['ream', 'tap'], true)) {
                $draft->step($step);
            } elseif (in_array($step->kind, ['pilot', 'step', 'drill', 'countersink'], true)) {
                $draft->step($step->as('drill'));
            }
        }
        $draft->take($bore);
        $this->turn($draft);
        $this->partOff($draft, $move);
        $draft->step(new PlanStep('deburr', 'deburring tool', 'Both faces of every ring.', ['Burrs cut. Standstill first.']));
        $draft->step(new PlanStep('measure', 'caliper', 'Thickness, outside and bore of every ring; the learner first, the instructor second.'));

        return $draft->result();
    }

    /** The bore is a hole through all rings and cuts. */
    private function bore(Length $stock): PlanResult
    {
        $input = $this->holeFields->toArray();
        $part = $input['part'] ?? [];
        if (! is_array($part) || ! is_array($part['bore'] ?? null)) {
            throw InvalidInput::at('part', 'part. bore is missing; say what is wanted like the hole of a hole_plan.');
        }

        return HolePlan::fromFields(Fields::of([
            ...array_intersect_key($input, array_flip(['material', 'machine', 'crib', 'policy', 'lever_mm'])),
            'thickness_mm' => $stock->inMm(),
            'work_diameter_mm' => $this->bar->inMm(),
            'holding' => 'three_jaw_chuck',
            'hole' => [...$part['bore'], 'through' => true],
        ]))->compute();
    }

    private function turn(PlanDraft $draft): void
    {
        if ($this->outside === null || $this->outside->equals($this->bar)) {
            return;
        }
        foreach ((new TurningPasses($this->bar, $this->outside, $this->maxCut, $this->finishCut))->compute()->passes as $index => $diameter) {
            $draft->turned('turn', 'turning tool', $diameter, 'drilling', $index === 0 ? 'Roughing cuts of equal depth, then the finish.' : 'Next pass.');
        }
    }

    private function partOff(PlanDraft $draft, Length $move): void
    {
        $dial = $this->machine->dialGraduation;
        // Rounded up, so that metal is left and not missing.
        $reading = $dial === null ? null : (new DialMove($move, $dial, $this->machine->dialDivisions, $this->machine->dialReadsDiameter, 'up'))->compute();
        $words = sprintf('Blade %.3g, ring %.4g, clean-up %.2g: each move is %.4g mm', $this->blade->inMm(), $this->thickness->inMm(), $this->cleanup->inMm(), $move->inMm());
        $words .= $reading === null ? '.' : sprintf(', %d divisions of this dial (%d turns and %d), rounded up: %.3f mm over.', $reading->divisions, $reading->turns, $reading->remainderDivisions, $reading->error->inMm());
        for ($ring = 1; $ring <= $this->count; $ring++) {
            $draft->turned('part_off', "parting blade, ring $ring", $this->outside ?? $this->bar, self::PARTING, $ring === 1 ? $words : 'The same move again.', null,
                $ring === 1 ? ['Blade square and on centre. Catch no ring by hand: let it drop onto a rod or cloth.'] : [], $reading?->divisions);
        }
    }
}
