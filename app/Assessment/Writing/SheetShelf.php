<?php

declare(strict_types=1);

namespace App\Assessment\Writing;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Given;
use MillStep\Core\Assessment\LinesFor;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Border\Fields;

/** The practical sheets of the shop: which there are, how they went, and one of them as it stands. */
final class SheetShelf
{
    /** @return list<array<string, mixed>> the current version of each, and how those went whom one reaches */
    public function rows(User $by): array
    {
        $sheets = Sheet::query()->with(['part', 'boundMachine'])->orderBy('version')->get()->keyBy('code')->sortBy('code');
        $went = SheetAttempt::query()->with('sheet')->whereNotNull('concluded_at')
            ->whereIn('learner_id', $by->reached()->select('id'))->get()->groupBy('sheet.code');

        return array_values($sheets->map(static fn (Sheet $sheet): array => [
            'code' => $sheet->code,
            'title' => $sheet->title,
            'version' => $sheet->version,
            'part' => $sheet->part->name,
            'machine' => $sheet->machine?->name,
            'criteria' => count($sheet->criteria),
            'concluded' => $went->get($sheet->code)?->count() ?? 0,
            'passed' => $went->get($sheet->code)?->where('outcome', 'passed')->count() ?? 0,
        ])->all());
    }

    /** @return array<string, mixed> */
    public function of(string $code): array
    {
        $sheet = Sheet::current($code);
        $values = SheetFile::values($sheet);
        $versions = Sheet::query()->where('code', $code)->orderByDesc('version')->get();
        $open = SheetAttempt::stillOpen()->whereIn('sheet_id', $versions->modelKeys())->pluck('sheet_id')->countBy();

        return [
            'code' => $sheet->code,
            'version' => $sheet->version,
            'part' => $sheet->part->name,
            'machine' => $sheet->machine?->name,
            'pass_mark_percent' => $sheet->pass_mark_percent,
            'title' => $sheet->title,
            'own' => $sheet->own,
            'shown' => array_map(
                fn (array $criterion): array => $this->shown($sheet, $criterion),
                LinesFor::machine($sheet->criteria, $sheet->machine?->speed_change),
            ),
            'written' => [
                'title' => $values['title'],
                'criteria' => $values['criteria'],
                'translations' => (object) array_map(static fn (mixed $said): object => (object) array_map(
                    static fn (mixed $each): mixed => is_array($each) ? (object) $each : $each,
                    array_intersect_key(Given::fields($said), ['title' => 0, 'criteria' => 0]),
                ), $sheet->translations),
            ],
            'versions' => array_values($versions->map(static fn (Sheet $each): array => [
                'version' => $each->version, 'own' => $each->own, 'change' => $each->change_note,
                'at' => $each->created_at?->toIso8601ZuluString(),
                'open' => $open->get($each->id, 0),
            ])->all()),
        ];
    }

    /**
     * A criterion of an empty sheet: what is wanted there, where it is the same for everybody.
     *
     * @param  array<string, mixed>  $criterion
     * @return array<string, mixed>
     */
    private function shown(Sheet $sheet, array $criterion): array
    {
        $measured = ($criterion['kind'] ?? '') === 'measured';
        $hole = Given::text($criterion['hole'] ?? null);
        $wants = ! $measured || isset($criterion['dimension']) ? [] : WaysOfMeasuring::of(Fields::of([
            ...($sheet->part->hasHole($hole) ? $sheet->part->hole($hole) : []), ...$criterion,
        ]))->limits();

        return [
            ...array_intersect_key($criterion, array_flip([
                'id', 'kind', 'critical', 'text', 'scale_max', 'group', 'weight', 'must', 'follow_ups',
            ])),
            ...(isset($criterion['levels']) ? ['levels' => (object) Given::fields($criterion['levels'])] : []),
            ...($measured ? ['asks' => WaysOfMeasuring::asks(Given::text($criterion['measure'] ?? null)), 'wants' => (object) $wants] : []),
        ];
    }
}
