<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use Illuminate\Support\Collection;
use MillStep\Core\Assessment\OneAlone;

/**
 * What a signature rests on, as the ledger has it: who has confirmed and assessed, whether one person alone has seen the learner work, and
 * which sheets still want the second view that was drawn.
 *
 * @phpstan-type Rests array{sheets: list<array{code: string, attempt: string, by: string, at: string, second_open: bool}>,
 *     places: array{what: list<string>, place: string, by: string, at: string}|null, one_alone: string|null}
 */
final class Evidence
{
    private const READ = [
        'lesson_completed', 'practice_confirmed', 'assessment_concluded', 'sheet_opened', 'second_viewed', 'shown', 'corrected',
    ];

    /** @return Rests */
    public function of(User $learner, Permit $permit): array
    {
        $entries = LedgerEntry::query()->with('recorder')->where('learner_id', $learner->id)->whereIn('type', self::READ)
            ->where(static fn ($for) => $for->whereNull('permit_id')->orWhere('permit_id', $permit->id))->orderBy('seq')->get();
        $corrected = LedgerEntry::corrected($entries);
        $entries = $entries->reject(static fn (LedgerEntry $one): bool => isset($corrected[$one->id]));
        $sheets = $this->sheets($entries, $permit->requirement['assessments']);
        $of = static fn (string $type): Collection => $entries->where('type', $type);
        $lessons = [...$permit->requirement['lessons'], ...$permit->requirement['guided'] ?? []];
        $one = OneAlone::among(
            array_values($of('lesson_completed')
                ->filter(static fn (LedgerEntry $done): bool => in_array($done->details()['lesson'] ?? '', $lessons, true))
                ->flatMap(static fn (LedgerEntry $done): array => (array) ($done->details()['looked_by'] ?? []))
                ->map(Given::whole(...))->all()),
            array_values($of('practice_confirmed')->map(static fn (LedgerEntry $done): int => $done->recorded_by)->all()),
            array_values(array_merge(...array_map(static fn (LedgerEntry $sheet): array => [
                $sheet->recorded_by,
                ...$of('second_viewed')->filter(static fn (LedgerEntry $view): bool => self::attempt($view) === self::attempt($sheet))
                    ->map(static fn (LedgerEntry $view): int => ($view->details()['how'] ?? '') === 'seat' ? $view->recorded_by : 0)->all(),
            ], $sheets))),
        );

        return [
            'sheets' => array_values(array_map(static fn (LedgerEntry $sheet): array => [
                'code' => Given::text($sheet->details()['assessment'] ?? ''),
                'attempt' => self::attempt($sheet),
                'by' => $sheet->recorder->name,
                'at' => $sheet->happened_at->toIso8601ZuluString(),
                'second_open' => self::wantsView($sheet, $entries),
            ], $sheets)),
            'places' => self::places($of('shown')->last()),
            'one_alone' => $one === null ? null : User::query()->find($one)?->name,
        ];
    }

    /** @return array{what: list<string>, place: string, by: string, at: string}|null what of an emergency was last shown, and where */
    private static function places(?LedgerEntry $shown): ?array
    {
        $place = Given::text($shown?->details()['place'] ?? null);

        return $shown === null ? null : [
            'what' => Given::texts($shown->details()['what'] ?? null),
            'place' => Machine::query()->where('slug', $place)->first()->name ?? $place,
            'by' => $shown->recorder->name,
            'at' => $shown->happened_at->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  Collection<int, LedgerEntry>  $entries
     * @param  list<string>  $codes
     * @return list<LedgerEntry> the conclusion that counts, of each sheet that is asked for
     */
    private function sheets(Collection $entries, array $codes): array
    {
        $latest = [];
        foreach ($entries->where('type', 'assessment_concluded') as $entry) {
            $code = Given::text($entry->details()['assessment'] ?? '');
            // As the ledger folds them: a further piece that is not passed takes nothing back, a stop does.
            $holds = isset($latest[$code]) && $latest[$code]->details()['outcome'] === 'passed'
                && ($entry->details()['outcome'] ?? '') === 'not_yet';
            if (in_array($code, $codes, true) && ! $holds) {
                $latest[$code] = $entry;
            }
        }

        return array_values($latest);
    }

    /** @param  Collection<int, LedgerEntry>  $entries */
    private static function wantsView(LedgerEntry $sheet, Collection $entries): bool
    {
        $of = static fn (string $type): Collection => $entries->where('type', $type)
            ->filter(static fn (LedgerEntry $one): bool => self::attempt($one) === self::attempt($sheet));

        return $of('second_viewed')->isEmpty()
            && $of('sheet_opened')->contains(static fn (LedgerEntry $one): bool => ($one->details()['second_view'] ?? false) === true);
    }

    private static function attempt(LedgerEntry $entry): string
    {
        return Given::text($entry->details()['attempt'] ?? '');
    }
}
