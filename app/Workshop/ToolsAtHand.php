<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Collection;

/** Several cribs laid together, as the core's plans read them: tools that are fit to use, and which drills lie aside. */
final readonly class ToolsAtHand
{
    /**
     * @param  Collection<int, Tool>  $tools  fit to use
     * @param  Collection<int, Tool>  $aside  drills that are not
     * @param  bool  $saysHolding  whether the cribs list what there is to hold with, be it fit or not
     */
    private function __construct(private Collection $tools, private Collection $aside, private bool $saysHolding)
    {
    }

    /** @param  iterable<array-key, Crib>  $cribs  with their tools */
    public static function of(iterable $cribs): self
    {
        [$fit, $aside] = collect($cribs)
            ->flatMap(static fn (Crib $crib): Collection => $crib->tools->toBase())
            ->values()
            ->partition(static fn (Tool $tool): bool => $tool->fit());

        return new self(
            $fit->values(),
            $aside->where('kind', 'drill')->values(),
            $fit->concat($aside)->contains('kind', 'holding'),
        );
    }

    public function hasDrills(): bool
    {
        return $this->tools->contains('kind', 'drill');
    }

    /** @return list<float> heights in millimetres */
    public function parallels(): array
    {
        return $this->each('parallel', static fn (Tool $tool): float => (float) $tool->diameter());
    }

    /** @return array<string, mixed> the shape of the core's CribSpec; what is not there is an empty list */
    public function spec(): array
    {
        return [
            'drills' => $this->each('drill', static fn (Tool $tool): array => [
                'designation' => $tool->designation,
                'diameter_mm' => $tool->diameter(),
                'edge' => $tool->edge,
                ...array_intersect_key($tool->details, ['taper' => 0, 'flute_length_mm' => 0, 'point_angle_deg' => 0]),
            ]),
            'aside' => array_values($this->aside->map(static fn (Tool $tool): array => [
                'designation' => $tool->designation, 'diameter_mm' => $tool->diameter(), 'edge' => $tool->edge,
                'condition' => $tool->condition,
            ])->all()),
            'step_drills' => $this->each(
                'step_drill',
                static fn (Tool $tool): array => ['diameters_mm' => $tool->details['diameters_mm'] ?? []],
            ),
            'taps' => $this->each(
                'tap',
                static fn (Tool $tool): array => ['thread' => $tool->details['thread'] ?? '', 'type' => $tool->details['type'] ?? ''],
            ),
            'reamers' => $this->each(
                'reamer',
                static fn (Tool $tool): array => ['diameter_mm' => $tool->diameter(), 'method' => $tool->details['method'] ?? 'hand'],
            ),
            // As with what holds: who lists no bars has said nothing about them.
            ...($this->tools->contains('kind', 'boring_bar') ? ['boring_bars' => $this->each(
                'boring_bar',
                static fn (Tool $tool): array => [
                    'bar_mm' => $tool->diameter(), ...array_intersect_key($tool->details, ['enters_mm' => 0, 'reach_mm' => 0]),
                ],
            )] : []),
            'hole_saws' => $this->each('hole_saw', static fn (Tool $tool): array => [
                'diameter_mm' => $tool->diameter(), ...array_intersect_key($tool->details, ['reach_mm' => 0]),
            ]),
            'centre_drills' => $this->each('centre_drill', static fn (Tool $tool): array => ['size' => $tool->designation]),
            // A crib that has nothing to hold with says nothing about it: vices stand on the machines.
            ...($this->saysHolding ? ['holdings' => $this->each(
                'holding',
                static fn (Tool $tool): array => ['piece' => $tool->details['type'] ?? 'vice', 'takes_mm' => $tool->diameter()],
            )] : []),
            'gauges' => $this->each(
                'gauge',
                static fn (Tool $tool): array => [
                    'kind' => $tool->details['gauge'] ?? 'plug',
                    'size' => $tool->details['thread'] ?? self::plain((float) $tool->diameter()),
                ],
            ),
        ];
    }

    /**
     * @template T
     *
     * @param  callable(Tool): T  $make
     * @return list<T>
     */
    private function each(string $kind, callable $make): array
    {
        return array_values($this->tools->where('kind', $kind)->map($make)->all());
    }

    private static function plain(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 4, '.', ''), '0'), '.');
    }
}
