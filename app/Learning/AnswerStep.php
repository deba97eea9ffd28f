<?php

declare(strict_types=1);

namespace App\Learning;

use App\Competency\RecordEntry;
use App\Learning\Events\LessonCompleted;
use App\Learning\Events\LookAsked;
use App\Learning\Events\StepOpened;
use App\Support\Given;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\LessonReading;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Measure\Reading;

/** Takes what a learner did, read or chose at a step. The core judges readings; a hold asks for the instructor. */
final class AnswerStep
{
    public function __construct(
        private readonly RecordEntry $record,
        private readonly LessonCases $cases,
        private readonly GuidedLessons $guided,
    ) {
    }

    /**
     * @param  string|null  $value  the reading as typed, or the id of the choice
     * @param  'mm'|'in'|null  $units  of a caliper's reading that names none; the learner's own where not said
     *
     * @throws Refusal `step_order`, or `guided` while a lesson that needs power is not open to this learner
     * @throws \MillStep\Core\Border\CoreException when a reading cannot be understood
     */
    public function __invoke(Progress $progress, string $key, ?string $value, ?CarbonImmutable $at = null, ?string $units = null): Progress
    {
        return DB::transaction(function () use ($progress, $key, $value, $at, $units): Progress {
            $progress = Progress::query()
                ->with(['lesson', 'learner', 'holds'])
                ->lockForUpdate()
                ->findOrFail($progress->id);
            if (! $this->guided->openTo($progress->learner, $progress->lesson->code)) {
                throw Refusal::because('guided');
            }
            $step = $progress->lesson->step($key);
            if ($step === null || ($progress->nextStep() !== $key && ! $progress->isDone($key))) {
                throw Refusal::because('step_order');
            }
            $at ??= CarbonImmutable::now();
            if ($step['hold'] !== null) {
                $hold = $progress->holds()->firstOrCreate(['step' => $key], ['asked_at' => $at]);
                // What was sent back is asked for anew.
                $hold->sent_back_at === null || $hold->update(['asked_at' => $at, 'sent_back_at' => null]);
                $progress->load('holds');
                LookAsked::dispatch($progress->learner_id);

                return $progress;
            }
            $this->write($progress, $key, match (true) {
                $step['reading'] !== null => $this->judge(
                    $progress,
                    $step['reading']['kind'],
                    $value ?? '',
                    $units ?? $progress->learner->units,
                ),
                $step['choice'] !== null => ['value' => $value, 'verdict' => $this->choose($step['choice'], $value)],
                default => ['value' => null, 'verdict' => 'done'],
            }, $at);

            return $progress;
        });
    }

    /** The instructor's look: opens the step for the learner. */
    public function open(HoldPoint $hold, int $by, ?CarbonImmutable $at = null, bool $here = false): HoldPoint
    {
        return DB::transaction(function () use ($hold, $by, $at, $here): HoldPoint {
            $hold = HoldPoint::query()->with('progress.lesson', 'progress.learner')->lockForUpdate()->findOrFail($hold->id);
            if ($hold->opened_at === null) {
                // Looked at after all: what was sent back is done with.
                $at ??= CarbonImmutable::now();
                $hold->update(['opened_at' => $at, 'opened_by' => $by, 'opened_here' => $here, 'disowned_at' => null]);
                $this->write($hold->progress, $hold->step, ['value' => null, 'verdict' => 'done'], $at);
                StepOpened::dispatch($hold->progress->learner_id);
            }

            return $hold;
        });
    }

    /**
     * Not yet: the learner reads why, and asks again.
     *
     * @throws Refusal `already_opened`
     */
    public function sendBack(HoldPoint $hold, int $by, string $reason): HoldPoint
    {
        return DB::transaction(static function () use ($hold, $by, $reason): HoldPoint {
            $hold = HoldPoint::query()->with('progress')->lockForUpdate()->findOrFail($hold->id);
            if ($hold->opened_at !== null) {
                throw Refusal::because('already_opened');
            }
            if ($hold->sent_back_at === null) {
                $hold->update(['sent_back_at' => CarbonImmutable::now(), 'sent_back_by' => $by, 'sent_back_reason' => $reason]);
                StepOpened::dispatch($hold->progress->learner_id);
            }

            return $hold;
        });
    }

    /** @param  array{value: string|null, verdict: string, value_mm?: float|null, units?: 'mm'|'in'}  $answer */
    private function write(Progress $progress, string $key, array $answer, CarbonImmutable $at): void
    {
        $progress->answers = [...$progress->answers, $key => ['value_mm' => null, ...$answer, 'at' => $at->toIso8601ZuluString()]];
        if ($progress->completed_at === null && $progress->nextStep() === null) {
            $progress->completed_at = $at;
            ($this->record)($progress->learner, null, 'lesson_completed', [
                'lesson' => $progress->lesson->code,
                'version' => $progress->lesson->version,
                ...self::lookedBy($progress),
            ], $progress->learner, $at);
            LessonCompleted::dispatch($progress->learner_id);
        }
        $progress->save();
    }

    /**
     * @param  'mm'|'in'  $units
     * @return array{value: string, verdict: string, value_mm: float, units: 'mm'|'in'}
     */
    private function judge(Progress $progress, string $kind, string $typed, string $units): array
    {
        // Only a reading asks what it is read on.
        $lesson = $progress->lesson->loadMissing(['part', 'boundMachine.cribs.tools']);
        $scale = $this->cases->machine($lesson, $progress->learner)?->depth_scale;
        // A scale is read in its own unit; a caliper in the learner's.
        $unit = in_array($kind, LessonReading::ON_SCALE, true) && $scale !== null ? $scale['unit'] : $units;
        $value = $kind === 'divisions' ? self::counted($typed) : Reading::parse($typed, $unit);
        $case = $this->cases->case($lesson, $progress->learner) ?? throw Refusal::because('no_figures');
        $hole = $this->cases->part($lesson, $progress->learner)?->mainHole($lesson->hole);
        $verdict = (new LessonReading(
            $case,
            Length::mm($scale['graduation_mm'] ?? 1),
            Length::mm($scale['travel_mm'] ?? 100),
            $lesson->hole === null || $hole === null ? null : new Limits(Length::mm($hole['lower_mm']), Length::mm($hole['upper_mm'])),
        ))->judge($kind, $value, $progress->reading('scale_touch'));

        return ['value' => trim($typed), 'verdict' => $verdict->value, 'value_mm' => $value->inMm(), 'units' => $unit];
    }

    /**
     * So many divisions of a dial, a millimetre each to the core.
     *
     * @throws InvalidInput
     */
    private static function counted(string $typed): Length
    {
        return preg_match('/^\s*\d{1,6}\s*$/', $typed) === 1 ? Length::mm((float) trim($typed))
            : throw InvalidInput::at('value', 'learning.count_divisions');
    }

    /** @param  list<array{id: string, text: string, right: bool, answer: string}>  $options */
    private function choose(array $options, ?string $chosen): string
    {
        foreach ($options as $option) {
            if ($option['id'] === $chosen) {
                return $option['right'] ? 'right' : 'wrong';
            }
        }
        throw Refusal::because('no_choice');
    }

    /** @return array{looked_by?: list<int>} who has looked at its hold points */
    private static function lookedBy(Progress $progress): array
    {
        $by = HoldPoint::query()->where('progress_id', $progress->id)->whereNotNull('opened_by')->distinct()->orderBy('opened_by')
            ->pluck('opened_by')->all();

        return $by === [] ? [] : ['looked_by' => array_map(Given::whole(...), array_values($by))];
    }
}
