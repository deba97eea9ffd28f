<?php

declare(strict_types=1);

namespace App\Records;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Competency\Anchors;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Readiness;
use App\Competency\Standings;
use App\Learning\Check;
use App\Learning\CheckAttempt;
use App\Learning\Lesson;
use App\Learning\Progress;
use App\People\User;
use App\Practice\Entry;
use Illuminate\Support\Collection;
use MillStep\Core\Competency\Record;

/** One learner's page: where they stand with each permit, what each asks for and what of it is done, and the ledger. */
final class LearnerRecord
{
    public function __construct(
        private readonly Standings $standings,
        private readonly Readiness $readiness,
        private readonly Anchors $anchors,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(User $learner): array
    {
        $permits = Permit::query()->with('statements')->orderBy('id')->get();
        $standings = $this->standings->of(new Collection([$learner]), $permits)[$learner->id];
        $entries = LedgerEntry::query()->with('recorder')->where('learner_id', $learner->id)->orderByDesc('seq')->get();
        $corrected = self::corrected($entries);

        return [
            'learner' => [
                'id' => $learner->id,
                'name' => $learner->name,
                'cohort' => $learner->cohorts->pluck('name')->implode(', ') ?: null,
                'active' => $learner->active,
            ],
            'permits' => $permits->map(fn (Permit $permit): array => $this->permit($learner, $standings[$permit->code]))->all(),
            'chain' => $this->anchors->signed($this->anchors->head()),
            'ledger' => $entries->map(static fn (LedgerEntry $entry): array => [
                'id' => $entry->id,
                'type' => $entry->type,
                'permit' => $permits->firstWhere('id', $entry->permit_id)?->name,
                'details' => (object) $entry->details(),
                'recorded_by' => $entry->recorder->name,
                'happened_at' => $entry->happened_at->toIso8601ZuluString(),
                'recorded_at' => $entry->recorded_at->toIso8601ZuluString(),
                'hash' => $entry->hash,
                'corrected' => isset($corrected[$entry->id]),
            ])->all(),
        ];
    }

    /**
     * The lines that a correction in force has taken back.
     *
     * @param  Collection<int, LedgerEntry>  $entries  newest first
     * @return array<string, true> by id
     */
    private static function corrected(Collection $entries): array
    {
        $corrected = [];
        foreach ($entries as $entry) {
            if ($entry->type === 'corrected' && ! isset($corrected[$entry->id])) {
                $corrected[(string) $entry->details()['entry']] = true;
            }
        }

        return $corrected;
    }

    /** @return array<string, mixed> */
    private function permit(User $learner, PermitStanding $standing): array
    {
        $permit = $standing->permit;
        $requirement = $permit->requirement;
        $record = $standing->record;

        return [
            'code' => $permit->code,
            'name' => $permit->name,
            'standing' => $standing->place->toArray(),
            'lessons' => [
                ...$this->lessons($learner, $requirement['lessons'], $record, false),
                ...$this->lessons($learner, $requirement['guided'] ?? [], $record, true),
            ],
            'checks' => $this->checks($learner, $requirement['checks'], $record),
            'practice' => [
                'count' => $record->practiceCount,
                'count_needed' => $requirement['practice_count'],
                'minutes' => $record->practiceMinutes,
                'minutes_needed' => $requirement['practice_minutes'],
                'waiting' => Entry::query()->where('learner_id', $learner->id)->where('state', 'waiting')->count(),
            ],
            'assessments' => $this->assessments($learner, $requirement['assessments'], $record),
            'acknowledged' => $this->readiness->onLearnersSide($standing, $learner)->acknowledged(),
            'signed_off' => $standing->signature(),
        ];
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function lessons(User $learner, array $codes, Record $record, bool $guided): array
    {
        $lessons = Lesson::query()->whereIn('code', $codes)->orderBy('version')->get()->keyBy('code');
        $progress = Progress::query()
            ->with('lesson')
            ->where('learner_id', $learner->id)
            ->whereIn('lesson_id', $lessons->pluck('id'))
            ->get()
            ->keyBy('lesson_id');

        return array_map(static function (string $code) use ($lessons, $progress, $record, $guided): array {
            $lesson = $lessons->get($code);
            $mine = $lesson === null ? null : $progress->get($lesson->id);

            return [
                'code' => $code,
                'title' => $lesson->title ?? $code,
                'minutes' => $lesson->minutes ?? 0,
                'steps' => $lesson === null ? 0 : count($lesson->steps),
                'steps_done' => $mine === null
                    ? 0
                    : count(array_filter($lesson->steps ?? [], static fn (array $step): bool => $mine->isDone($step['key']))),
                'completed' => ($record->lessons[$code] ?? -1) >= ($lesson->accepted_from ?? 0),
                'guided' => $guided,
            ];
        }, $codes);
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function checks(User $learner, array $codes, Record $record): array
    {
        $attempts = CheckAttempt::query()->with('check')->where('learner_id', $learner->id)->orderBy('started_at')->get();

        return array_map(static function (string $code) use ($attempts, $record): array {
            $mine = $attempts->filter(static fn (CheckAttempt $attempt): bool => $attempt->check->code === $code);
            $last = $mine->last(static fn (CheckAttempt $attempt): bool => $attempt->submitted_at !== null);

            return [
                'code' => $code,
                'title' => Check::current($code)->title,
                'attempts' => $mine->whereNotNull('submitted_at')->count(),
                'passed' => $record->checks[$code] ?? false,
                'score_percent' => $last?->result['score_percent'] ?? null,
                'last_attempt' => $last?->id,
            ];
        }, $codes);
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function assessments(User $learner, array $codes, Record $record): array
    {
        $attempts = SheetAttempt::query()->with('sheet')->where('learner_id', $learner->id)->orderBy('started_at')->get();

        return array_map(static function (string $code) use ($attempts, $record): array {
            $mine = $attempts->filter(static fn (SheetAttempt $attempt): bool => $attempt->sheet->code === $code);
            $last = $mine->whereNotNull('concluded_at')->last();

            return [
                'code' => $code,
                'title' => Sheet::current($code)->title,
                'attempts' => $mine->whereNotNull('concluded_at')->count(),
                'outcome' => $record->assessments[$code] ?? null,
                'score_percent' => $last === null ? null : (float) $last->score_percent,
                'last_attempt' => $last?->id,
                'open_attempt' => $mine->first(static fn (SheetAttempt $attempt): bool => $attempt->isOpen())?->id,
            ];
        }, $codes);
    }
}
