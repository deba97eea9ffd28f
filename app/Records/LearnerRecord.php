<?php

declare(strict_types=1);

namespace App\Records;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Assessment\Tries\TryShown;
use App\Assessment\Who\AssessmentException;
use App\Competency\Anchors;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Readiness;
use App\Competency\Standings;
use App\Competency\Texts\LineWords;
use App\Learning\Check;
use App\Learning\CheckAttempt;
use App\Learning\Lesson;
use App\Learning\Progress;
use App\People\User;
use App\Practice\Entry;
use Illuminate\Database\Eloquent\Relations\Relation;
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

    /** @var Collection<array-key, Lesson> the current one of each code */
    private Collection $lessons;

    /** @var Collection<array-key, Collection<array-key, Progress>> what was begun, by lesson, whatever its version */
    private Collection $progress;

    /** @var Collection<array-key, Check> the current one of each code */
    private Collection $checks;

    /** @var Collection<array-key, Sheet> the current one of each code */
    private Collection $sheets;

    /** @var Collection<array-key, CheckAttempt> */
    private Collection $checkAttempts;

    /** @var Collection<array-key, SheetAttempt> */
    private Collection $sheetAttempts;

    /** @var Collection<array-key, Entry> */
    private Collection $waiting;

    /** @var Collection<string, AssessmentException> that are still to be used, by sheet */
    private Collection $exceptions;

    /** What a learner did, read once for all permits. */
    private function read(User $learner): void
    {
        $columns = ['id', 'code', 'version', 'accepted_from', 'title', 'minutes', 'steps', 'translations'];
        $this->lessons = Lesson::query()->orderBy('version')->get($columns)->keyBy('code')->toBase();
        $this->progress = Progress::query()->with(['lesson' => static fn (Relation $lesson) => $lesson->select($columns)])
            ->where('learner_id', $learner->id)->where('answers', '!=', '{}')->get()->toBase()->groupBy('lesson.code');
        $this->checks = Check::query()->orderBy('version')->get()->keyBy('code')->toBase();
        $this->sheets = Sheet::query()->orderBy('version')->get()->keyBy('code')->toBase();
        $this->checkAttempts = CheckAttempt::query()->with('check')->where('learner_id', $learner->id)
            ->orderBy('started_at')->get()->toBase();
        $this->sheetAttempts = SheetAttempt::query()->with(['sheet', 'lines'])->where('learner_id', $learner->id)
            ->orderBy('started_at')->get()->toBase();
        $this->exceptions = AssessmentException::query()->with('grantor')->where('learner_id', $learner->id)->whereNull('attempt_id')
            ->get()->keyBy('sheet')->toBase();
        $this->waiting = Entry::query()->with('machine.permits')->where('learner_id', $learner->id)
            ->where('state', 'waiting')->get()->toBase();
    }

    /** @return array<string, mixed> */
    public function of(User $learner): array
    {
        $this->read($learner);
        $permits = Permit::query()->with('statements')->orderBy('id')->get();
        $standings = $this->standings->of(new Collection([$learner]), $permits)[$learner->id];
        $entries = LedgerEntry::query()->with('recorder')->where('learner_id', $learner->id)->orderByDesc('seq')->get();
        $corrected = LedgerEntry::corrected($entries);
        $words = LineWords::of($entries);

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
                'details' => (object) [...$entry->details(), ...$words[$entry->id] ?? []],
                'recorded_by' => $entry->recorder->name,
                'happened_at' => $entry->happened_at->toIso8601ZuluString(),
                'recorded_at' => $entry->recorded_at->toIso8601ZuluString(),
                'hash' => $entry->hash,
                'corrected' => isset($corrected[$entry->id]),
            ])->all(),
        ];
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
            'prerequisites' => $requirement['prerequisites'] ?? [],
            'standing' => $standing->place->shown(),
            'lessons' => [
                ...$this->lessons($requirement['lessons'], $record, false),
                ...$this->lessons($requirement['guided'] ?? [], $record, true),
            ],
            'checks' => $this->checks($requirement['checks'], $standing),
            'practice' => [
                'count' => $record->practiceCount,
                'count_needed' => $requirement['practice_count'],
                'minutes' => $record->practiceMinutes,
                'minutes_needed' => $requirement['practice_minutes'],
                'waiting' => $this->waiting->filter(static fn (Entry $entry): bool => $entry->countsFor($permit))->count(),
            ],
            'assessments' => $this->assessments($requirement['assessments'], $record),
            'acknowledged' => $this->readiness->onLearnersSide($standing, $learner)->acknowledged(),
            'signed_off' => $standing->signature(),
        ];
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function lessons(array $codes, Record $record, bool $guided): array
    {
        [$lessons, $progress] = [$this->lessons, $this->progress];

        return array_map(static function (string $code) use ($lessons, $progress, $record, $guided): array {
            $lesson = $lessons->get($code);
            $mine = $lesson === null ? null : Progress::goneOnWith($progress->get($code) ?? [], $lesson);

            return [
                'code' => $code,
                'title' => $lesson->title ?? $code,
                'minutes' => $lesson->minutes ?? 0,
                'steps' => count($mine->lesson->steps ?? $lesson->steps ?? []),
                'steps_done' => $mine === null
                    ? 0
                    : count(array_filter($mine->lesson->steps, static fn (array $step): bool => $mine->isDone($step['key']))),
                'completed' => ($record->lessons[$code] ?? -1) >= ($lesson->accepted_from ?? 0),
                'guided' => $guided,
            ];
        }, $codes);
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function checks(array $codes, PermitStanding $standing): array
    {
        [$checks, $attempts] = [$this->checks, $this->checkAttempts];

        return array_map(static function (string $code) use ($checks, $attempts, $standing): array {
            $mine = $attempts->filter(static fn (CheckAttempt $attempt): bool => $attempt->check->code === $code);
            $last = $mine->last(static fn (CheckAttempt $attempt): bool => $attempt->submitted_at !== null);

            return [
                'code' => $code,
                'title' => $checks->get($code)->title ?? $code,
                'attempts' => $mine->whereNotNull('submitted_at')->count(),
                'passed' => $standing->record->checks[$code] ?? false,
                'stale' => in_array($code, $standing->checksStale, true),
                'score_percent' => $last?->result['score_percent'] ?? null,
                'last_attempt' => $last?->id,
            ];
        }, $codes);
    }

    /**
     * @param  list<string>  $codes
     * @return list<array<string, mixed>>
     */
    private function assessments(array $codes, Record $record): array
    {
        [$sheets, $attempts, $exceptions] = [$this->sheets, $this->sheetAttempts, $this->exceptions];

        return array_map(static function (string $code) use ($sheets, $attempts, $exceptions, $record): array {
            $mine = $attempts->filter(static fn (SheetAttempt $attempt): bool => $attempt->sheet->code === $code);
            $last = $mine->whereNotNull('concluded_at')->last();

            return [
                'code' => $code,
                'title' => $sheets->get($code)->title ?? $code,
                'attempts' => $mine->whereNotNull('concluded_at')->count(),
                'outcome' => $record->assessments[$code] ?? null,
                'score_percent' => $last === null ? null : (float) $last->score_percent,
                'last_attempt' => $last?->id,
                'exception' => $exceptions->get($code)?->shown(),
                'tries' => array_values($mine->map(TryShown::short(...))->all()),
                'open_attempt' => $mine->first(static fn (SheetAttempt $attempt): bool => $attempt->isOpen())?->id,
            ];
        }, $codes);
    }
}
