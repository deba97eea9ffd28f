<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\FeedTable;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\Holding\DrillingTorque;
use MillStep\Core\Workshop\Holding\Holding;
use MillStep\Core\Workshop\Holding\HoldingCheck;
use MillStep\Core\Workshop\Holding\HoldingVerdict;
use MillStep\Core\Workshop\Holding\WorkFriction;
use MillStep\Core\Workshop\Holding\Workholding;
use MillStep\Core\Workshop\Material;

/** How the work is held against the largest drill's grab: what was asked for, or the first usual way that does it. */
final readonly class HoldingPlan
{
    private function __construct(
        public Workholding $holding,
        public Holding $check,
        public float $forceN,
        public Length $lever,
        public float $torqueNm,
        public Figure $figure,
        public ?Message $missing,
    ) {
    }

    /** @param  'drill_press'|'lathe'  $machineKind */
    public static function of(
        string $machineKind,
        Material $material,
        ShopPolicy $policy,
        Length $largest,
        Length $lever,
        ?Workholding $asked,
        bool $round,
    ): self {
        $feed = FeedTable::feed($material->group, $largest);
        $torque = (new DrillingTorque($largest, $feed, $material->cuttingForceNMm2))->compute()->torqueNm;
        $friction = WorkFriction::of($material->group);
        $check = static fn (Workholding $holding): Holding => (new HoldingCheck($torque, $policy->grabFactor, $holding->method,
            $holding->resistingForceN($friction), $lever))->compute();
        $usual = array_filter(
            Workholding::all(),
            static fn (Workholding $holding): bool => $holding->suits($machineKind, $largest) && (
                $machineKind === 'lathe'
                || $holding->forRoundWork() === $round
            ),
        );
        $best = null;
        foreach ($usual as $holding) {
            $best ??= $holding;
            if ($check($holding)->verdict === HoldingVerdict::Holds) {
                $best = $holding;
                break;
            }
        }
        $best ??= Workholding::get($machineKind === 'lathe' ? 'three_jaw_chuck' : ($round ? 'v_block_clamped' : 'vice_bolted'));
        $chosen = $asked ?? $best;
        $judged = $check($chosen);
        $force = $chosen->resistingForceN($friction);
        $missing = null;
        if ($judged->verdict !== HoldingVerdict::Holds || ! $chosen->resistsTurning || ! $chosen->resistsLifting) {
            $missing = Message::of($chosen->resistsTurning ? 'planning.lacks.holding' : 'planning.lacks.holding_against_turning', [
                'holding' => $chosen->word(),
                'wanted_nm' => round(HoldingCheck::MARGIN * $judged->demandNm, 1),
                'margin_ratio' => HoldingCheck::MARGIN,
                'capacity_nm' => round($chosen->resistsTurning ? $judged->capacityNm : 0, 1),
                'instead' => match (true) {
                    $best->method !== $chosen->method => Message::of('planning.instead.holding', ['holding' => $best->word()]),
                    $machineKind === 'lathe' => Message::of('planning.instead.larger_stock'),
                    default => Message::of('planning.instead.grip_further_out'),
                },
            ]);
        }

        return new self($chosen, $judged, $force, $lever, $torque,
            Figure::number('demand_nm', 'nm', $judged->demandNm, 'holding', 'M = kc · f · d² / 8000 · grab', [
                'kc' => $material->cuttingForceNMm2, 'f_mm_rev' => $feed, 'd_mm' => $largest->inMm(),
                'grab' => $policy->grabFactor, 'F_n' => $force, 'lever_mm' => $lever->inMm(),
                'resists_nm' => $judged->capacityNm,
            ])->teaching(
                $material->unsure('specific_cutting_force_kc_N_mm2') ?? Uncertainty::of(
                    'workholding.csv',
                    $chosen->method,
                    'typical_force_teach_N',
                ),
            ),
            $missing);
    }

    public function message(ShopPolicy $policy): Message
    {
        return Message::of('planning.why.holding', [
            'demand_nm' => round($this->check->demandNm, 1),
            'grab_ratio' => $policy->grabFactor,
            'capacity_nm' => round($this->check->capacityNm, 1),
        ]);
    }

    /** @return array<string, mixed> as a plan's answer has it */
    public function toArray(): array
    {
        return [
            'method' => $this->holding->method,
            'description' => $this->holding->word()->toArray(),
            'resisting_force_n' => $this->forceN,
            'lever_mm' => $this->lever->inMm(),
            ...$this->check->toArray(),
        ];
    }
}
