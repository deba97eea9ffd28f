<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Policy\SpeedSchool;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** Speed and feed of one tool on this machine, by the schools in force, with their working. */
final readonly class Cutting
{
    /** So far over its speed a tool still runs where the machine turns no slower. */
    private const OVER = 1.25;

    private function __construct(
        public SpeedChoice $speed,
        public float $factor,
        public float $feedMmRev,
        public ?float $limitRpm,
        public bool $bySchool,
        private float $mostRpm,
        public Figure $speedFigure,
        public Figure $feedFigure,
    ) {
    }

    /**
     * @param  string  $operation  a row of operation_speed_factors.csv
     * @param  float  $feedFactor  against the drilling feed of that diameter
     *
     * @throws BrokenTable
     */
    public static function of(
        MachineSpec $machine,
        Material $material,
        ShopPolicy $policy,
        Length $diameter,
        string $operation,
        ?DeepHole $deep = null,
        float $feedFactor = 1.0,
    ): self {
        $factor = OperationFactors::of($operation) * ($deep->speedFactor ?? 1.0);
        $bySchool = $policy->speedSchool === SpeedSchool::Shop;
        $limits = array_filter([$policy->learnerCapRpm, $bySchool ? $policy->shopSpeedRpm : null], is_float(...));
        $limit = $limits === [] ? null : min($limits);
        $speed = (new SpindleSpeed($material->cuttingSpeedMMin, $diameter, $factor, $machine->speeds, $limit))->compute();
        $table = FeedTable::feed($material->group, $diameter);
        $feed = $table * ($deep->feedFactor ?? 1.0) * $feedFactor;
        $row = FeedTable::row($material->group, $diameter);

        // A drill bears a quarter over its speed; other tools what their row of the table has at most.
        $most = $operation === 'drilling' || str_contains($operation, 'pilot') || $operation === 'opening_out'
            ? 0.0 : OperationFactors::most($operation) * ($deep->speedFactor ?? 1.0) / $factor * $speed->targetRpm;

        return new self($speed, $factor, $feed, $limit, $bySchool, max(self::OVER * $speed->targetRpm, $most),
            Figure::number('rpm', 'rpm', $speed->chosenRpm, $bySchool ? 'speed.shop' : 'speed.'.$speed->verdict->value,
                'n = 1000 · v · k / (π · d)', [
                    'v_m_min' => $material->cuttingSpeedMMin, 'k' => $factor, 'd_mm' => $diameter->inMm(),
                    'n_rpm' => $speed->targetRpm, ...($limit === null ? [] : ['limit_rpm' => $limit]),
                ])->teaching(
                    $material->unsure('hss_drilling_speed_teach_m_min') ?? Uncertainty::of(
                        'operation_speed_factors.csv',
                        $operation,
                        'factor_teach',
                    ),
                ),
            Figure::number(
                'feed_mm_rev',
                'mm_rev',
                $feed,
                'feed',
                'f = table · k',
                ['table_mm_rev' => $table, 'k' => $feed / $table],
            )->teaching(Uncertainty::of('feeds.csv', $row, 'feed_mm_rev')));
    }

    /** Even the slowest speed is well over what the tool wants, or over what the shop allows. */
    public function machineTooFast(): bool
    {
        return $this->speed->chosenRpm > $this->mostRpm + 1e-9
            || ($this->limitRpm !== null && $this->speed->chosenRpm > $this->limitRpm);
    }

    public function wantedRpm(): float
    {
        return min($this->speed->targetRpm, $this->limitRpm ?? INF);
    }

    /** How the speed was found, with the school in force. */
    public function message(): Message
    {
        $terms = ['chosen_rpm' => $this->speed->chosenRpm, 'wanted_rpm' => floor($this->speed->targetRpm)];

        return Message::of(match (true) {
            $this->bySchool => 'planning.speed.shop',
            $this->speed->verdict === SpeedVerdict::Capped => 'planning.speed.capped',
            $this->speed->verdict === SpeedVerdict::MachineTooFast => 'planning.speed.slowest',
            default => 'planning.speed.surface',
        }, $terms);
    }

    public function timeS(Length $travel): float
    {
        return 60 * $travel->inMm() / ($this->feedMmRev * $this->speed->chosenRpm);
    }
}
