<?php

declare(strict_types=1);

namespace App\Demo;

use App\Assessment\ConcludeAssessment;
use App\Assessment\MarkCriterion;
use App\Assessment\OpenSheet;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Competency\AcknowledgeStatement;
use App\Competency\Permit;
use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Competency\SignOffPermit;
use App\Learning\AnswerStep;
use App\Learning\Check;
use App\Learning\HandInCheck;
use App\Learning\Lesson;
use App\Learning\LessonHoles;
use App\Learning\OpenLesson;
use App\Learning\Progress;
use App\Learning\StartCheck;
use App\People\User;
use App\Policy\Policy;
use App\Practice\DecideOnPractice;
use App\Practice\LogPractice;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Str;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Learning\DrawnQuestion;

/**
 * What the demo's people did up to today, done by the very actions that the application uses, each at its
 * own time, all in the order in which they happened.
 */
final class DemoHistory
{
    /** @var list<array{CarbonImmutable, \Closure(): mixed}> */
    private array $events = [];

    public function __construct(
        private readonly OpenLesson $openLesson,
        private readonly AnswerStep $answerStep,
        private readonly LessonHoles $figures,
        private readonly StartCheck $startCheck,
        private readonly HandInCheck $handInCheck,
        private readonly LogPractice $logPractice,
        private readonly DecideOnPractice $decide,
        private readonly OpenSheet $openSheet,
        private readonly MarkCriterion $mark,
        private readonly ConcludeAssessment $conclude,
        private readonly AcknowledgeStatement $acknowledge,
        private readonly SignOffPermit $signOff,
        private readonly PlaceHold $hold,
        private readonly RecordEntry $record,
    ) {
    }

    /**
     * @param  list<User>  $instructors  at least one
     * @param  array<string, mixed>  $story  a learner of people.yaml
     */
    public function plan(User $learner, array $instructors, CarbonImmutable $startedOn, array $story): void
    {
        $instructor = $instructors[$learner->id % count($instructors)];
        $permit = Permit::query()->with('statements')->firstOrFail();
        // A class lasts from the first day to a few days before the signature, or to yesterday.
        $end = isset($story['signed_days_ago'])
            ? CarbonImmutable::now()->subDays($story['signed_days_ago'])->startOfDay()
            : CarbonImmutable::now()->subDay()->startOfDay();
        $start = $startedOn->greaterThan($end->subDays(12)) ? $end->subDays(12) : $startedOn->addDays($learner->id % 5);
        $days = max(1, (int) $start->diffInDays($end));
        $at = static fn (float $part, int $hour): CarbonImmutable => $start->addDays((int) floor($part * $days))->setTime(
            $hour,
            ($learner->id * 7) % 60,
        );

        $done = static fn (array $asked): array => $story['lessons'] === 'all'
            ? $asked : array_values(array_intersect($asked, $story['lessons']));
        foreach ($done($permit->requirement['lessons']) as $index => $code) {
            $this->on($at(0.05 * $index, 9 + $index % 3), fn () => $this->lesson($learner, $code, $instructor));
        }
        // What needs power comes after the check, under the instructor's eyes.
        foreach (($story['check'] ?? '') === 'passed' ? $done($permit->requirement['guided'] ?? []) : [] as $index => $code) {
            $this->on($at(0.51 + 0.02 * $index, 14), fn () => $this->lesson($learner, $code, $instructor));
        }
        if ($story['half_way'] ?? false) {
            $this->on(CarbonImmutable::now()->subMinutes(25), fn () => $this->lesson($learner, 'C6', $instructor, stopAt: 'hold'));
        }
        if (isset($story['check'])) {
            $this->on($at(0.5, 13), fn () => $this->check($learner, $story['check'] === 'passed'));
        }
        foreach ($story['practice'] ?? [] as $index => $minutes) {
            $this->on(
                $at(0.56 + 0.08 * $index, 15),
                fn () => $this->practice(
                    $learner,
                    ['Foot plate, corner holes', 'Foot plate, middle hole', 'Guy-wire tab, three holes'][$index % 3],
                    $minutes,
                    $instructor,
                ),
            );
        }
        foreach ($story['waiting'] ?? [] as $waiting) {
            $this->on(
                CarbonImmutable::now()->subHours(2),
                fn () => $this->practice($learner, $waiting['exercise'], $waiting['minutes'], null),
            );
        }
        if (isset($story['assessment'])) {
            $this->on($at(0.92, 14), fn () => $this->assess($learner, $story['assessment'], $instructor));
        }
        if (($story['acknowledged'] ?? false) || isset($story['signed_days_ago'])) {
            $this->on($at(0.96, 16), fn () => ($this->acknowledge)($learner, $permit, $permit->statementInForce()->version));
        }
        if (isset($story['signed_days_ago'])) {
            $signed = $end->setTime(17, 10);
            $this->on(
                $signed,
                fn () => ($this->signOff)(
                    $learner,
                    $permit,
                    $instructor,
                    DemoShop::PIN,
                    Scope::fromFields(Fields::of($story['scope'] ?? ['materials' => ['mild_steel']])),
                    Policy::inForce()->hours->endOfDay($signed->addDays($permit->validity_days)),
                ),
            );
        }
        if (isset($story['last_run_days_ago'])) {
            $this->on(CarbonImmutable::now()->subDays($story['last_run_days_ago'])->setTime(11, 20),
                fn () => ($this->record)($learner, $permit, 'machine_time', ['minutes' => 35, 'machine' => 'bench-drill'], $learner));
        }
        if (isset($story['hold'])) {
            $this->on(CarbonImmutable::now()->subDays($story['hold']['days_ago'])->setTime(10, 5),
                fn () => ($this->hold)($learner, $permit, $instructor, $story['hold']['type'], $story['hold']['reason']));
        }
    }

    public function happen(): void
    {
        usort($this->events, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        try {
            foreach ($this->events as [$at, $event]) {
                Date::setTestNow($at);
                $event();
            }
        } finally {
            Date::setTestNow();
            $this->events = [];
        }
    }

    /** @param  \Closure(): mixed  $event */
    private function on(CarbonImmutable $at, \Closure $event): void
    {
        $this->events[] = [$at, $event];
    }

    private function lesson(User $learner, string $code, User $instructor, ?string $stopAt = null): void
    {
        $progress = ($this->openLesson)($learner, Lesson::current($code));
        foreach ($progress->lesson->steps as $step) {
            $value = match (true) {
                $step['reading'] !== null => $this->reading($progress, $step['reading']['kind']),
                $step['choice'] !== null => array_column(
                    array_filter($step['choice'], static fn (array $option): bool => $option['right']),
                    'id',
                )[0] ?? null,
                default => null,
            };
            $progress = ($this->answerStep)($progress, $step['key'], $value);
            if ($step['key'] === $stopAt) {
                return;
            }
            $hold = $progress->holds->firstWhere('step', $step['key']);
            if ($hold !== null) {
                $this->answerStep->open($hold, $instructor->id);
                $progress = ($this->openLesson)($learner, $progress->lesson)->refresh();
            }
        }
    }

    private function reading(Progress $progress, string $kind): string
    {
        $hole = $this->figures->hole($progress->lesson);

        return match (true) {
            $hole === null => '',
            $kind === 'scale_touch' => '14',
            $kind === 'depth_reading' => (string) round($hole->readingFrom(Length::mm($progress->reading('scale_touch') ?? 0.0))->inMm()),
            default => (string) round($hole->diameter()->inMm() + 0.12, 2),
        };
    }

    private function check(User $learner, bool $pass): void
    {
        $attempt = ($this->startCheck)($learner, Check::current('SC-through-holes'), (string) Str::uuid7());
        $answers = [];
        foreach ($attempt->paper()->questions as $question) {
            $answers[$question->id] = ! $pass && $question->critical ? [self::wrongOption($question)]
                : ($question->figure === null ? $question->right : [(string) round($question->figure->answer, 2)]);
        }
        ($this->handInCheck)($attempt, $answers);
    }

    private static function wrongOption(DrawnQuestion $question): string
    {
        return array_values(array_diff(array_column($question->choices, 'id'), $question->right))[0];
    }

    private function practice(User $learner, string $exercise, int $minutes, ?User $confirmedBy): void
    {
        $entry = ($this->logPractice)($learner, Machine::query()->where('slug', 'bench-drill')->firstOrFail(), [
            'id' => (string) Str::uuid7(), 'exercise' => $exercise, 'minutes' => $minutes,
            'done_on' => CarbonImmutable::now()->toDateString(),
        ]);
        if ($confirmedBy !== null) {
            ($this->decide)($entry, $confirmedBy, true);
        }
    }

    private function assess(User $learner, string $outcome, User $assessor): void
    {
        $attempt = ($this->openSheet)(Sheet::current('PS-through-holes'), $learner, $assessor, (string) Str::uuid7());
        foreach ($attempt->sheet->criteria as $criterion) {
            ($this->mark)($attempt, $criterion['id'], $this->found($attempt, $criterion, $outcome), 'mm');
        }
        ($this->conclude)($attempt, $assessor);
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array{result?: string, value?: string, dx?: string, dy?: string}
     */
    private function found(SheetAttempt $attempt, array $criterion, string $outcome): array
    {
        if ($criterion['kind'] === 'observed') {
            return ['result' => match (true) {
                $outcome === 'stopped' && $criterion['id'] === 'key' => 'not_met',
                $outcome === 'not_yet' && $criterion['group'] === 'work' => 'prompted',
                $criterion['id'] === 'eased' => 'prompted',
                default => 'met',
            }];
        }
        $middle = $attempt->sheet->part->hole($criterion['hole'])['lower_mm'] + ($outcome === 'not_yet' ? 0.48 : 0.14);

        return $criterion['measure'] === 'position' ? ['dx' => '0.12', 'dy' => '-0.08'] : ['value' => number_format($middle, 2, '.', '')];
    }
}
