<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Collection;

/** Several cribs laid together, as the core's plans read them: only tools that are fit to use. */
final readonly class ToolsAtHand
{
    /** @param  Collection<int, Tool>  $tools */
    private function __construct(private Collection $tools)
    {
    }

    /** @param  iterable<Crib>  $cribs  with their tools */
    public static function of(iterable $cribs): self
    {
        return new self(
            collect($cribs)
                ->flatMap(static fn (Crib $crib): Collection => $crib->tools->toBase())
                ->filter(static fn (Tool $tool): bool => $tool->fit())
                ->values(),
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
                ...array_intersect_key($tool->details, ['taper' => 0, 'flute_length_mm' => 0]),
            ]),
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
            'centre_drills' => $this->each('centre_drill', static fn (Tool $tool): array => ['size' => $tool->designation]),
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
