<?php

declare(strict_types=1);

namespace MillStep\Core\Tests\Sweep;

use MillStep\Core\Policy\PolicySettings;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\DrillSeries;
use MillStep\Core\Workshop\MaterialTable;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Jobs as a shop might ask for them, and some as nobody would; the same ones for the same seed. */
final class RandomJobs
{
    private const THREADS = ['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', 'M10x1.25', '10-32', '1/4-20', '5/16-18', '3/8-16', '1/2-13'];

    private const HOLDINGS = [
        'vice_bolted', 'strap_clamp_pair', 'bar_clamp_pair', 'bar_clamp_and_stop', 'vice_against_stop', 'hand_bare', 'v_block_clamped',
    ];

    private Randomizer $dice;

    public function __construct(int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    /** @return array{op: 'hole_plan'|'lathe_plan', input: array<string, mixed>} */
    public function next(): array
    {
        $crib = $this->crib();
        $common = [
            'material' => $this->one(array_keys(MaterialTable::shipped()->all())),
            'crib' => $crib,
            'policy' => $this->policy(),
        ];

        return $this->dice->getInt(0, 3) === 0
            ? ['op' => 'lathe_plan', 'input' => [...$common, ...$this->batch($crib)]]
            : ['op' => 'hole_plan', 'input' => [...$common, ...$this->hole($crib)]];
    }

    /**
     * @param  array<string, mixed>  $crib
     * @return array<string, mixed>
     */
    private function hole(array $crib): array
    {
        $onLathe = $this->chance(4);
        $thickness = $this->length(1, 60);

        return array_filter([
            'thickness_mm' => $thickness,
            'machine' => $onLathe ? $this->lathe() : $this->press(),
            'hole' => $this->wanted($crib, $thickness),
            'holding' => ! $onLathe && $this->chance(3) ? $this->one(self::HOLDINGS) : null,
            'lever_mm' => ! $onLathe && $this->chance(2) ? $this->length(10, 150) : null,
            'work_diameter_mm' => $onLathe || $this->chance(6) ? $this->length(8, 60) : null,
            'support' => $onLathe && $this->chance(4) ? 'steady' : null,
            'work_width_mm' => ! $onLathe && $this->chance(3) ? $this->length(20, 200) : null,
        ], static fn (mixed $value): bool => $value !== null);
    }

    /**
     * @param  array<string, mixed>  $crib
     * @return array<string, mixed>
     */
    private function batch(array $crib): array
    {
        $bar = $this->length(10, 65);
        $thickness = $this->length(3, 40);

        return [
            'bar' => ['diameter_mm' => $bar],
            'part' => array_filter([
                'thickness_mm' => $thickness,
                'outside_mm' => $this->chance(2) ? round($bar * 0.9, 1) : null,
                'bore' => $this->chance(4) ? null : $this->wanted($crib, $thickness),
                'part_off' => ! $this->chance(4),
                'support_centre' => $this->chance(6) ? true : null,
            ], static fn (mixed $value): bool => $value !== null),
            'count' => $this->dice->getInt(1, 8),
            'blade_mm' => $this->one([1.6, 2, 3, 4]),
            'support' => $this->one(['none', 'none', 'none', 'steady', 'tailstock']),
            'machine' => $this->lathe(),
        ];
    }

    /**
     * @param  array<string, mixed>  $crib
     * @return array<string, mixed>
     */
    private function wanted(array $crib, float $thickness): array
    {
        $purpose = $this->one(['plain', 'plain', 'clearance', 'tapped', 'reamed', 'bored', 'countersunk', 'counterbored', 'spotfaced']);
        $through = ! $this->chance(3);
        /** @var list<array{diameter_mm: float}> $drills */
        $drills = $crib['drills'];

        return array_filter([
            'purpose' => $purpose,
            'through' => $through,
            'depth_mm' => $through ? null : round($thickness * $this->dice->getInt(20, 95) / 100, 1),
            'diameter_mm' => match ($purpose) {
                'plain' => $this->chance(5) ? $this->length(1, 25) : $this->one($drills)['diameter_mm'],
                'reamed' => (float) $this->one([3, 4, 5, 6, 8, 10, 12, 16]),
                'bored' => $this->length(4, 40),
                default => null,
            },
            'thread' => $purpose === 'tapped' ? ThreadTable::shipped()->get($this->one(self::THREADS))->designation : null,
            'fastener' => in_array($purpose, ['clearance', 'countersunk', 'counterbored', 'spotfaced'], true)
                ? ThreadTable::shipped()->get($this->one(self::THREADS))->designation : null,
            'fit' => in_array($purpose, ['plain', 'reamed', 'bored'], true) && $this->chance(4)
                ? $this->one(['H7', 'H8', 'H9', 'H11']) : null,
            'tapping' => $purpose === 'tapped' && $this->chance(2) ? $this->one(['hand', 'power', 'forming', 'insert']) : null,
            'slope_deg' => $purpose === 'spotfaced' && $this->chance(2) ? $this->one([0, 2, 5, 8]) : null,
            'reamer' => $purpose === 'reamed' && $this->chance(3) ? $this->one(['hand', 'machine']) : null,
            'position_tolerance_mm' => $this->chance(4) ? $this->one([0.05, 0.1, 0.2, 0.3, 0.5, 1]) : null,
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, mixed> */
    private function press(): array
    {
        return [
            'name' => 'the press', 'kind' => $this->one(['bench_drill_press', 'floor_drill_press', 'hand_drill']),
            ...$this->one([
                ['speeds_rpm' => [280, 500, 850, 1400, 2500], 'speed_change' => 'stopped_and_isolated'],
                ['speeds_rpm' => [180, 320, 540, 900, 1500, 2600], 'speed_change' => 'stopped_and_isolated'],
                ['min_rpm' => 60, 'max_rpm' => 2000, 'speed_change' => 'running'],
                ['min_rpm' => 100, 'max_rpm' => 1200, 'speed_change' => 'any'],
            ]),
            'depth_scale' => $this->scale($this->one([60, 80, 120, 200])),
            'chuck_max_mm' => $this->one([10, 13, 16]), 'taper' => $this->one([2, 3]), 'reverses' => $this->chance(2),
        ];
    }

    /** @return array<string, mixed> */
    private function lathe(): array
    {
        return [
            'name' => 'the lathe', 'kind' => 'lathe', 'min_rpm' => $this->one([45, 60, 150]), 'max_rpm' => $this->one([1200, 2000]),
            'depth_scale' => $this->scale($this->one([60, 80, 120])), 'chuck_max_mm' => 13, 'taper' => $this->one([2, 3]),
            'reverses' => $this->chance(2),
            'through_bore_mm' => $this->one([20, 26, 38]),
            'dial' => ['graduation_mm' => $this->one([0.0254, 0.05, 0.1]), 'divisions_per_turn' => 100],
            'cross_dial' => ['graduation_mm' => 0.05, 'divisions_per_turn' => 80, 'reads_diameter' => $this->chance(2)],
        ];
    }

    /** @return array{unit: string, graduation_mm: float, travel_mm: float} */
    private function scale(float $travel): array
    {
        return [...$this->one([
            ['unit' => 'mm', 'graduation_mm' => 1.0], ['unit' => 'mm', 'graduation_mm' => 0.5], ['unit' => 'mm', 'graduation_mm' => 0.1],
            ['unit' => 'in', 'graduation_mm' => 25.4 / 32], ['unit' => 'in', 'graduation_mm' => 25.4 / 16],
        ]), 'travel_mm' => $travel];
    }

    /** @return array<string, mixed> */
    private function crib(): array
    {
        $drills = [];
        foreach ($this->some(DrillSeries::cases()) as $series) {
            foreach ($series->drills() as $drill) {
                $drills[] = array_filter([
                    ...$drill,
                    'edge' => $this->chance(20) ? 'zero_rake' : 'normal',
                    'flute_length_mm' => $this->chance(8) ? $this->length(20, 160) : null,
                    'taper' => $drill['diameter_mm'] > 13 ? 2 : null,
                ], static fn (mixed $value): bool => $value !== null);
            }
        }
        $crib = ['drills' => $drills];
        if ($this->chance(2)) {
            $crib['centre_drills'] = array_map(
                static fn (string $size): array => ['size' => $size],
                $this->some(['1.0', '1.6', '2.0', '2.5', '3.15', '4.0', '5.0']),
            );
        }
        if ($this->chance(2)) {
            $crib['reamers'] = array_map(
                fn (int $size): array => ['diameter_mm' => $size, 'method' => $this->one(['hand', 'machine'])],
                $this->some([4, 5, 6, 8, 10, 12]),
            );
        }
        if ($this->chance(2)) {
            $crib['taps'] = [];
            foreach ($this->some(self::THREADS) as $thread) {
                foreach ($this->some(['taper', 'second', 'bottoming', 'spiral_point', 'spiral_flute', 'form', 'insert']) as $type) {
                    $crib['taps'][] = ['thread' => $thread, 'type' => $type];
                }
            }
        }
        if ($this->chance(2)) {
            $crib['boring_bars'] = array_map(
                fn (int $thick): array => array_filter([
                    'bar_mm' => $thick, 'enters_mm' => $this->chance(2) ? $thick * 1.3 : null,
                    'reach_mm' => $this->chance(2) ? $this->length(20, 120) : null,
                ]),
                $this->some([5, 8, 10, 12, 16]),
            );
        }
        if ($this->chance(3)) {
            $crib['hole_saws'] = array_map(
                fn (int $size): array => array_filter(['diameter_mm' => $size, 'reach_mm' => $this->chance(2) ? 25 : null]),
                $this->some([14, 16, 19, 22, 25]),
            );
            $crib['step_drills'] = [['diameters_mm' => [4, 5, 6, 7, 8, 9, 10, 11, 12]]];
        }

        if ($this->chance(3)) {
            $crib['holdings'] = array_map(
                fn (string $piece): array => ['piece' => $piece, 'takes_mm' => $this->length(30, 160)],
                $this->some(['vice', 'bar_clamp', 'strap', 'v_block', 'stop', 'angle_plate']),
            );
        }

        return $crib;
    }

    /** @return array<string, mixed> */
    private function policy(): array
    {
        $policy = [];
        foreach (PolicySettings::all() as $key => $setting) {
            $planned = in_array($setting['group'], ['drilling', 'speed', 'reaming', 'tapping', 'marking', 'holding'], true);
            if (! $this->chance(3) || ! $planned) {
                continue;
            }
            $default = is_numeric($setting['default']) ? (float) $setting['default'] : 800.0;
            $policy[$key] = match ($setting['kind']) {
                'choice' => $this->one($setting['choices'] ?? ['']),
                'flag' => $this->chance(2),
                default => min($setting['most'] ?? INF, max($setting['least'] ?? 0, round($default * $this->one([0.7, 1, 1.3]), 2))),
            };
        }

        return $policy;
    }

    private function chance(int $oneIn): bool
    {
        return $this->dice->getInt(1, $oneIn) === 1;
    }

    private function length(float $least, float $most): float
    {
        return round($least + $this->dice->getInt(0, 10_000) / 10_000 * ($most - $least), 1);
    }

    /**
     * @template T
     *
     * @param  non-empty-array<array-key, T>  $among
     * @return T
     */
    private function one(array $among): mixed
    {
        $values = array_values($among);

        return $values[$this->dice->getInt(0, count($values) - 1)];
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $among
     * @return non-empty-list<T> at least one of them
     */
    private function some(array $among): array
    {
        $picked = array_values(array_filter($among, fn (): bool => $this->chance(2)));

        return $picked === [] ? [$this->one($among)] : $picked;
    }
}
