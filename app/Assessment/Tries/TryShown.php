<?php

declare(strict_types=1);

namespace App\Assessment\Tries;

use App\Assessment\Mark;
use App\Assessment\SheetAttempt;
use App\Competency\LedgerEntry;
use App\Language\Sentences;
use App\Workshop\MaterialRow;

/** One try at a sheet as whoever leads or audits reads it. */
final class TryShown
{
    /**
     * @param  array<string, list<LedgerEntry>>  $happened  by type
     * @return array<string, mixed>
     */
    public static function of(SheetAttempt $attempt, array $happened, Sentences $says): array
    {
        $opened = $happened['sheet_opened'][0] ?? null;
        $marks = $attempt->marks();
        $answered = $marks->said('answered');
        $appealed = $marks->said('appealed');

        return [
            ...self::short($attempt),
            'learner' => ['id' => $attempt->learner->id, 'name' => $attempt->learner->name],
            'sheet' => [
                'code' => $attempt->sheet->code, 'title' => $attempt->sheet->title, 'version' => $attempt->sheet->version,
                'material' => MaterialRow::word($attempt->sheet->material($attempt->variant), $says),
            ],
            'machine' => $attempt->machine?->name,
            'opened_by' => $opened->recorder->name ?? $attempt->assessor->name,
            'assessor' => $attempt->assessor->name,
            'second' => $attempt->second?->name,
            'score_percent' => $attempt->score_percent === null ? null : (float) $attempt->score_percent,
            'put_away_by' => $attempt->cancelledBy?->name,
            'stopped' => count($happened['sheet_stopped'] ?? []),
            'undone' => count($happened['mark_undone'] ?? []),
            'reopened' => array_map(static fn (LedgerEntry $entry): array => [
                'at' => $entry->recorded_at->toIso8601ZuluString(), 'by' => $entry->recorder->name,
            ], $happened['sheet_reopened'] ?? []),
            'clock_s' => self::clock($attempt),
            'answered' => $answered === null ? null : ($answered->value['agrees'] ?? false),
            'appeal' => $appealed === null ? null : ($marks->said('appeal_answered')->value['answer'] ?? 'open'),
        ];
    }

    /**
     * As the learner's own record lists it.
     *
     * @return array{id: string, started_at: string, ended: string, ended_at: string|null, because: string|null, words: string|null,
     *     marks: int, counts: bool}
     */
    public static function short(SheetAttempt $attempt): array
    {
        return [
            'id' => $attempt->id,
            'started_at' => $attempt->started_at->toIso8601ZuluString(),
            'ended' => match (true) {
                $attempt->cancelled_at !== null => 'put_away',
                $attempt->concluded_at !== null => (string) $attempt->outcome,
                default => 'open',
            },
            'ended_at' => ($attempt->concluded_at ?? $attempt->cancelled_at)?->toIso8601ZuluString(),
            'because' => $attempt->put_away_because?->value,
            'words' => $attempt->cancelled_because,
            'marks' => $attempt->marks()->made(),
            'counts' => $attempt->isOpen() || $attempt->ended() !== null,
        ];
    }

    /** By how many seconds a tablet's clock was out at most, where what it said could not be. */
    private static function clock(SheetAttempt $attempt): int
    {
        return max([0, ...$attempt->lines->map(static fn (Mark $line): int => $line->said_at === null ? 0
            : (int) round(abs($line->said_at->diffInSeconds($line->made_at))))->all()]);
    }
}
