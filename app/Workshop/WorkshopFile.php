<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Policy\Policy;
use Illuminate\Support\Collection;

/**
 * The workshop as one JSON document: machines, cribs with their tools, the shop's own materials, bars in stock and
 * the policy in force. Its shape is published as public/schemas/workshop-1.json.
 */
final class WorkshopFile
{
    public const FORMAT = 'mill-step-workshop';

    public const VERSION = 1;

    public const SCHEMA = 'schemas/workshop-1.json';

    /** @return array<string, mixed> */
    public function export(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'machines' => Machine::query()->with('cribs')->orderBy('slug')->get()->map(self::machine(...))->all(),
            'cribs' => Crib::query()->with('tools')->orderBy('slug')->get()->map(self::crib(...))->all(),
            'materials' => MaterialRow::query()->orderBy('key')->get()->map(static fn (MaterialRow $row): array => $row->row)->all(),
            'bars' => Bar::query()
                ->orderBy('material')
                ->orderBy('diameter_mm')
                ->orderBy('length_mm')
                ->get()
                ->map(static fn (Bar $bar): array => $bar->only(['material', 'diameter_mm', 'length_mm', 'count']))
                ->all(),
            'policy' => (object) Policy::settingsInForce(),
        ];
    }

    /** @return array<string, mixed> what it has not is left out */
    private static function machine(Machine $machine): array
    {
        return array_filter([
            'slug' => $machine->slug,
            ...$machine->only(Machine::FIELDS),
            'cribs' => $machine->cribs->pluck('slug')->sort()->values()->all(),
            'in_service' => $machine->in_service,
            'service_note' => $machine->service_note,
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, mixed> */
    private static function crib(Crib $crib): array
    {
        return array_filter([
            'slug' => $crib->slug,
            'name' => $crib->name,
            'note' => $crib->note,
            'tools' => self::tools($crib->tools->toBase()),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /**
     * @param  Collection<int, Tool>  $tools
     * @return list<array<string, mixed>>
     */
    private static function tools(Collection $tools): array
    {
        return array_values($tools->map(static fn (Tool $tool): array => array_filter([
            'kind' => $tool->kind,
            'designation' => $tool->designation,
            'diameter_mm' => $tool->diameter(),
            'edge' => $tool->edge === 'normal' ? null : $tool->edge,
            'condition' => $tool->condition === 'good' ? null : $tool->condition,
            ...$tool->details,
        ], static fn (mixed $value): bool => $value !== null))->all());
    }
}
