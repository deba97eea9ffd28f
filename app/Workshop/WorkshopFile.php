<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Policy\Policy;
use Illuminate\Support\Collection;

/**
 * The workshop as one JSON document: machines, cribs with their tools, the shop's own materials, bars in stock and
 * the policy in force. Its shape is published as public/schemas/workshop-1.json.
 *
 * @phpstan-type FileTool array{kind: string, designation: string, diameter_mm?: float|int, edge?: string, condition?: string,
 *     type?: string, thread?: string}
 * @phpstan-type FileCrib array{slug: string, name: string, note?: string|null, tools: list<FileTool>}
 * @phpstan-type FileMachine array<string, mixed>&array{slug: string, name: string, cribs?: list<string>, in_service?: bool,
 *     service_note?: string|null}
 * @phpstan-type FileMaterial array<string, mixed>&array{key: string, name?: string}
 * @phpstan-type FileBar array{material: string, diameter_mm: float|int, length_mm: float|int, count: int}
 * @phpstan-type File array{machines?: list<FileMachine>, cribs?: list<FileCrib>, materials?: list<FileMaterial>, bars?: list<FileBar>,
 *     policy?: array<string, mixed>}
 */
final class WorkshopFile
{
    public const FORMAT = 'mill-step-workshop';

    public const VERSION = 1;

    public const SCHEMA = 'schemas/workshop-1.json';

    /**
     * @return array{format: string, version: int, machines: list<array<string, mixed>>, cribs: list<array<string, mixed>>,
     *     materials: list<array<string, mixed>>, bars: list<array<string, mixed>>, policy: object}
     */
    public function export(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'machines' => array_values(Machine::query()->with('cribs')->orderBy('slug')->get()->map(self::machine(...))->all()),
            'cribs' => array_values(Crib::query()->with('tools')->orderBy('slug')->get()->map(self::crib(...))->all()),
            'materials' => array_values(
                MaterialRow::query()->orderBy('key')->get()->map(static fn (MaterialRow $row): array => $row->row)->all(),
            ),
            'bars' => array_values(Bar::query()
                ->orderBy('material')
                ->orderBy('diameter_mm')
                ->orderBy('length_mm')
                ->get()
                ->map(static fn (Bar $bar): array => $bar->only(['material', 'diameter_mm', 'length_mm', 'count']))
                ->all()),
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
