<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Holding\Holding;
use MillStep\Core\Workshop\Holding\HoldingCheck;
use MillStep\Core\Workshop\Holding\HoldingVerdict;
use MillStep\Core\Workshop\Holding\WorkFriction;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\Material;

/** How the work is held against the hardest twist of what cuts it: what was asked for, or the first usual way that does it. */
final readonly class HoldingPlan
{
    /** Further out than this nobody grips a workpiece on a drill press's table. */
    private const LONGEST_LEVER_MM = 250;

    /** Between the edge of the hole and what grips beside it: room for a chuck to come down (workshop practice). */
    private const CLEAR_MM = 10;

    /** @param  bool  $taken  the lever was not said, and is taken as it stands here */
    private function __construct(
        public Workholding $holding,
        public Holding $check,
        public float $forceN,
        public Length $lever,
        public bool $taken,
        public Demand $demand,
        public Figure $figure,
        public ?Message $missing,
    ) {
    }

    /**
     * @param  'drill_press'|'lathe'  $machineKind
     * @param  bool  $taken  whether the lever is only taken to be so long
     * @param  Length|null  $bar  the diameter of round work
     * @param  Length|null  $across  how wide the work is between a vice's jaws
     */
    public static function of(
        string $machineKind,
        Material $material,
        Demand $demand,
        Length $lever,
        bool $taken,
        ?Workholding $asked,
        ?Length $bar,
        CribSpec $crib,
        ?Length $across = null,
    ): self {
        $friction = WorkFriction::of($material->group);
        $check = static fn (Workholding $holding): Holding => (new HoldingCheck($demand->torqueNm, $demand->worst, $holding->method,
            $holding->resistingForceN($friction), $lever))->compute();
        $round = $bar !== null;
        $usual = array_values(array_filter(
            self::usual($machineKind, $demand->wide, $round),
            static fn (Workholding $each): bool => $crib->canHold($each, $bar, $across),
        ));
        $holding = array_values(
            array_filter($usual, static fn (Workholding $each): bool => $check($each)->verdict === HoldingVerdict::Holds),
        );
        // The first usual way that does it; where none does, the strongest there is.
        $chosen = $asked ?? $holding[0] ?? self::strongest($usual, $friction)
            ?? Workholding::get($machineKind === 'lathe' ? 'three_jaw_chuck' : ($round ? 'v_block_clamped' : 'vice_bolted'));
        $judged = $check($chosen);
        $force = $chosen->resistingForceN($friction);
        $missing = match (true) {
            ! $chosen->byHand() && ! $crib->canHold($chosen, $bar, $across) => self::noKit(
                $chosen,
                $crib->canHold($chosen, $bar) ? $across : null,
            ),
            $judged->verdict === HoldingVerdict::Holds && $chosen->resistsTurning && $chosen->resistsLifting => null,
            default => self::lacks(
                $chosen,
                $judged,
                self::instead(
                    $machineKind,
                    self::strongest($holding, $friction),
                    self::strongest($usual, $friction),
                    $friction,
                    $judged,
                    $demand->wide,
                ),
            ),
        };

        return new self($chosen, $judged, $force, $lever, $taken, $demand,
            Figure::number('demand_nm', 'nm', $judged->demandNm, self::rule($demand, $taken), $demand->formula, [
                ...$demand->terms, 'lever_mm' => $lever->inMm(),
                // What a hand resists is nobody's figure to reckon with.
                ...($chosen->byHand() ? [] : ['F_n' => $force, 'resists_nm' => $judged->capacityNm]),
            ])->teaching(
                $material->unsure('specific_cutting_force_kc_N_mm2') ?? Uncertainty::of(
                    'workholding.csv',
                    $chosen->method,
                    'typical_force_teach_N',
                ),
            ),
            $missing);
    }

    private static function rule(Demand $demand, bool $taken): string
    {
        return ($demand->taps ? 'holding_tap' : 'holding').($taken ? '_taken' : '');
    }

    /**
     * @param  'drill_press'|'lathe'  $machineKind
     * @return list<Workholding> in the table's order
     */
    private static function usual(string $machineKind, Length $largest, bool $round): array
    {
        return array_values(array_filter(
            Workholding::all(),
            static fn (Workholding $holding): bool => $holding->suits($machineKind, $largest)
                && ($machineKind === 'lathe' || $holding->forRoundWork() === $round),
        ));
    }

    /** @param  list<Workholding>  $among */
    private static function strongest(array $among, float $friction): ?Workholding
    {
        usort(
            $among,
            static fn (Workholding $a, Workholding $b): int => $b->resistingForceN($friction) <=> $a->resistingForceN($friction),
        );

        return $among[0] ?? null;
    }

    /** @param  Length|null  $across  what the vice does not open for, where it is only that */
    private static function noKit(Workholding $chosen, ?Length $across): Message
    {
        return $across !== null ? Message::of('planning.lacks.vice_opening', [
            'holding' => $chosen->word(), 'across_mm' => $across->inMm(),
        ]) : Message::of('planning.lacks.holding_kit', ['holding' => $chosen->word()]);
    }

    private static function lacks(Workholding $chosen, Holding $judged, Message $instead): Message
    {
        return Message::of(match (true) {
            $chosen->byHand() => 'planning.lacks.holding_by_hand',
            ! $chosen->resistsTurning => 'planning.lacks.holding_against_turning',
            $judged->verdict === HoldingVerdict::Holds => 'planning.lacks.holding_against_lifting',
            default => 'planning.lacks.holding',
        }, [
            'holding' => $chosen->word(),
            'wanted_nm' => round(HoldingCheck::MARGIN * $judged->demandNm, 1),
            'margin_ratio' => HoldingCheck::MARGIN,
            ...($chosen->byHand() ? [] : ['capacity_nm' => round($judged->capacityNm, 1)]),
            'instead' => $instead,
        ]);
    }

    /**
     * What would do: the strongest that holds, with the lever that it needs; else how far out the strongest has to grip;
     * else another way to take the twist.
     *
     * @param  'drill_press'|'lathe'  $machineKind
     */
    private static function instead(
        string $machineKind,
        ?Workholding $holds,
        ?Workholding $strongest,
        float $friction,
        Holding $judged,
        Length $wide,
    ): Message {
        // Nearer than that a clamp would lie in the drill's way.
        $clear = $machineKind === 'lathe' ? 0.0 : ceil($wide->inMm() / 2 + self::CLEAR_MM);
        $lever = static fn (Workholding $holding): float => max($clear, ceil(
            1000 * HoldingCheck::MARGIN * $judged->demandNm / $holding->resistingForceN($friction) - 1e-9,
        ));

        return match (true) {
            $machineKind === 'lathe' => $strongest === null
                ? Message::of('planning.instead.open_out')
                : Message::of('planning.instead.larger_stock', ['work_mm' => 2 * $lever($strongest)]),
            $holds !== null => Message::of('planning.instead.holding', ['holding' => $holds->word(), 'lever_mm' => $lever($holds)]),
            $strongest !== null && $lever($strongest) <= self::LONGEST_LEVER_MM => Message::of('planning.instead.grip_further_out', [
                'holding' => $strongest->word(), 'lever_mm' => $lever($strongest),
            ]),
            default => Message::of('planning.instead.stop_or_steps'),
        };
    }

    public function message(): Message
    {
        return Message::of(match (true) {
            $this->holding->byHand() => 'planning.why.holding_never',
            $this->demand->taps => 'planning.why.holding_tap',
            default => 'planning.why.holding',
        }, [
            'demand_nm' => round($this->check->demandNm, 1),
            'grab_ratio' => $this->demand->worst,
            ...($this->holding->byHand() ? [] : ['capacity_nm' => round($this->check->capacityNm, 1)]),
        ]);
    }

    /** What was taken to be so, since nobody said; null where somebody did. */
    public function assumption(): ?Message
    {
        return $this->taken && ! $this->holding->byHand()
            ? Message::of('planning.needs.lever_taken', ['lever_mm' => $this->lever->inMm()]) : null;
    }

    /** @return array<string, mixed> as a plan's answer has it */
    public function toArray(): array
    {
        return [
            'method' => $this->holding->method,
            'description' => $this->holding->word()->toArray(),
            'resisting_force_n' => $this->forceN,
            'lever_mm' => $this->lever->inMm(),
            'lever_taken' => $this->taken,
            ...$this->check->toArray(),
            // Never, whatever it might resist.
            ...($this->holding->byHand() ? ['resisting_force_n' => null, 'capacity_nm' => null, 'ratio' => null] : []),
        ];
    }
}
