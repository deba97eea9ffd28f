<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Hole\DrilledDepth;
use MillStep\Core\Planning\Hole\HoldingPlan;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Hole\PilotPlan;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;
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
        $thickness = $fields->length('thickness_mm');
        $optional = static fn (string $key): ?Length => $fields->has($key) ? $fields->length($key) : null;

        return new self(
            Material::read($fields),
            $thickness,
            HoleRequest::fromFields($fields->object('hole'), $thickness),
            MachineSpec::fromFields($fields->object('machine')),
            CribSpec::fromFields($fields->object('crib')),
            ShopPolicy::fromFields($fields->objectOrEmpty('policy')),
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
        $draft = new PlanDraft($this->machine, $this->material, $this->policy, $this->thickness, $this->hole->through);
        try {
            $final = $this->finalDrill($draft);
        } catch (NoCandidate $none) {
            $draft->missing($none->getMessage());

            return $draft->result();
        }
        $drills = $this->drillsAcross($draft, $final->drill);
        $this->hold($draft, $final->drill);
        if ($this->machine->isLathe()) {
            (new LatheSetting($draft, $this->crib))->prepare($this->work(), $drills[0]->diameter, $this->overhang, $this->support);
        } else {
            (new PressSetting($draft, $this->crib))->prepare($this->hole, $this->workDiameter, $drills[0]->diameter);
        }
        $this->make($draft, $final, $drills);
        (new Finishing($draft, $this->crib, $this->hole))->finish($final);

        return $draft->result();
    }

    /** The drill of the edge that the material asks for, or one of the other edge with what has to be done to it. */
    private function finalDrill(PlanDraft $draft): HoleDrill
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
            $this->material->needsZeroRake
                ? $draft->warn(
                    sprintf(
                        'The crib has no dubbed %s; %s pulls a sharp drill in. Stone a small flat on both lips of this one '
                            .'first, and mark it.',
                        self::name($final->drill),
                        mb_strtolower($this->material->name),
                    ),
                )
                : $draft->missing(
                    sprintf(
                        'The crib has %s only dubbed; it scrapes in %s. Use a sharp one of that size.',
                        self::name($final->drill),
                        mb_strtolower($this->material->name),
                    ),
                );
        }
        foreach ($final->missing as $words) {
            $draft->missing($words);
        }
        foreach ($final->warnings as $words) {
            $draft->warn($words);
        }

        return $final;
    }

    /**
     * @param  non-empty-list<Drill>  $drills
     *
     * @throws NoCandidate
     */
    private function from(array $drills): HoleDrill
    {
        return HoleDrill::of($this->hole, $this->material, $this->crib, $this->policy, $drills);
    }

    private function hold(PlanDraft $draft, Drill $final): void
    {
        $largest = $final->diameter->isGreaterThan($this->hole->largest()) ? $final->diameter : $this->hole->largest();
        $lever = $this->lever ?? ($this->machine->isLathe() ? $this->work()->times(0.5) : Length::mm(self::USUAL_LEVER_MM));
        $draft->holding = HoldingPlan::of(
            $this->machine->kind,
            $this->material,
            $this->policy,
            $largest,
            $lever,
            $this->holding,
            $this->workDiameter !== null,
        );
        if ($draft->holding->missing !== null) {
            $draft->missing($draft->holding->missing);
        }
    }

    /** The round stock on the lathe; where nothing is said about it, enough for the hole. */
    private function work(): Length
    {
        return $this->workDiameter ?? $this->hole->largest()->times(3);
    }

    /** @param  non-empty-list<Drill>  $drills */
    private function make(PlanDraft $draft, HoleDrill $final, array $drills): void
    {
        $passes = new DrillPasses($draft, $this->crib);
        if ($this->isSheet() && $this->hole->through && in_array($this->hole->purpose, ['plain', 'clearance'],
            true) && $this->crib->hasStepDrill($final->drill->diameter)) {
            $passes->stepDrill($final, $this->depth($final));

            return;
        }
        if ($this->isSheet()) {
            $draft->holdsTrue(['sandwiched' => true]);
        }
        $passes->drill($drills, $final, $this->depth($final), $this->hole);
    }

    private function isSheet(): bool
    {
        return ! $this->machine->isLathe() && $this->thickness->isLessThan($this->policy->thinSheet);
    }

    /**
     * The drills that lead up to the final one, by the pilot school in force.
     *
     * @return non-empty-list<Drill>
     */
    private function drillsAcross(PlanDraft $draft, Drill $final): array
    {
        $drills = array_values(
            array_filter(
                $this->crib->drillsFor($this->material),
                static fn (Drill $drill): bool => ! $drill->diameter->equals($final->diameter),
            ),
        );
        try {
            return (new PilotPlan($final->diameter, [...$drills, $final], $this->policy->pilotSchool, $this->policy->pilotThreshold,
                $this->policy->webRatio, $this->policy->maxStepRatio, $this->material->grabs))->compute()->steps;
        } catch (NoCandidate $none) {
            $draft->missing($none->getMessage());

            return [$final];
        }
    }

    /** How deep at full diameter: through the stock, to the depth wanted, or for a blind thread with lead and room for chips. */
    private function depth(HoleDrill $final): DrilledDepth
    {
        return DrilledDepth::of($this->hole, $this->thickness, $final->drill, $this->material, $this->policy, $this->crib);
    }

    /** A drill as it is asked for at the crib. */
    public static function name(Drill $drill): string
    {
        return $drill->designation.(preg_match('/^[\d.]+$/', $drill->designation) === 1 ? ' mm' : '').' drill';
    }
}
