<?php

declare(strict_types=1);

namespace App\Demo;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Assessment\Word\AnswerOutcome;
use App\Assessment\Word\AppealOutcome;
use App\Competency\AcknowledgeStatement;
use App\Competency\Familiar\MachinesKnown;
use App\Competency\Familiar\ShowMachine;
use App\Competency\Permit;
use App\Competency\PlaceHold;
use App\Competency\RecordEntry;
use App\Competency\SignOffPermit;
use App\Learning\AnswerStep;
use App\Learning\Check;
use App\Learning\HandInCheck;
use App\Learning\Lesson;
use App\Learning\LessonCases;
use App\Learning\OpenLesson;
use App\Learning\Progress;
use App\Learning\StartCheck;
use App\People\User;
use App\Policy\Policy;
use App\Practice\DecideOnPractice;
use App\Practice\LogPractice;
use App\Support\Given;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Str;
use MillStep\Core\Assessment\PutAwayBecause;
use MillStep\Core\Border\Length;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;
use MillStep\Core\Learning\LessonReading;
use MillStep\Core\Measure\Limits;

/**
 * What the demo's people did up to today, done by the very actions that the application uses, each at its
 * own time, all in the order in which they happened.
 *
 * @phpstan-type Story array{name: string, email?: string, lessons: 'all'|list<string>, check?: string, half_way?: bool,
 *     practice?: list<int>, waiting?: list<array{exercise: string, minutes: int}>, assessment?: string,
 *     first_try?: string, put_away?: array{because: string, words: string}, lot?: bool, agrees?: bool, appeal?: string,
 *     acknowledged?: bool, shown?: list<string>,
 *     signed_days_ago?: int, last_run_days_ago?: int, scope?: array<string, mixed>,
 *     hold?: array{type: 'suspended'|'revoked'|'incident_hold'|'reinstated', days_ago: int, reason: string},
 *     further?: array<string, 'lessons'|'check'|'practice'|'assessment'|'signed'>}
 */
final class DemoHistory
{
    /** The permit that the demo's stories are about, and the one that it builds on. */
    private const MAIN = 'drill-through-10';

    private const BELOW = 'bench-marking';

    private const SHEET = 'PS-through-holes';

    /** How far somebody may have come with a permit. */
    private const STAGES = ['lessons', 'check', 'practice', 'assessment', 'signed'];

    /** @var list<array{CarbonImmutable, \Closure(): mixed}> */
    private array $events = [];

    /** @var list<User> */
    private array $instructors = [];

    public function __construct(
        private readonly OpenLesson $openLesson,
        private readonly AnswerStep $answerStep,
        private readonly LessonCases $cases,
        private readonly StartCheck $startCheck,
        private readonly HandInCheck $handInCheck,
        private readonly LogPractice $logPractice,
        private readonly DecideOnPractice $decide,
        private readonly DemoAssessments $assessments,
        private readonly AcknowledgeStatement $acknowledge,
        private readonly SignOffPermit $signOff,
        private readonly PlaceHold $hold,
        private readonly RecordEntry $record,
        private readonly AnswerOutcome $say,
        private readonly AppealOutcome $appeal,
        private readonly MachinesKnown $known,
        private readonly ShowMachine $showMachine,
    ) {
    }

    /**
     * @param  list<User>  $instructors  at least one
     * @param  Story  $story  a learner of people.yaml
     */
    public function plan(User $learner, array $instructors, CarbonImmutable $startedOn, array $story): void
    {
        $this->instructors = $instructors;
        $instructor = $instructors[$learner->id % count($instructors)];
        $permit = Permit::query()->with('statements')->where('code', self::MAIN)->firstOrFail();
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

        // Bench work comes first, and is signed before the first lesson at a machine.
        if ($story['lessons'] !== []) {
            $this->climb($learner, self::BELOW, 'signed', $instructor, $start->subDays(6));
        }
        foreach ($story['further'] ?? [] as $code => $until) {
            $this->climb($learner, $code, $until, $instructor, CarbonImmutable::now()->subDays(16)->startOfDay());
        }
        $done = static fn (array $asked): array => array_values(
            $story['lessons'] === 'all' ? Given::texts($asked) : array_intersect(Given::texts($asked), $story['lessons']),
        );
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
                // Three before the first try at the sheet, and whatever is more between the two.
                $at($index < 3 ? 0.56 + 0.05 * $index : 0.8, 15),
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
        if (isset($story['first_try'])) {
            $this->on($at(0.74, 10), fn () => $this->assess($learner, $story['first_try'], $instructor));
        }
        if (isset($story['put_away'])) {
            $this->on($at(0.74, 10), fn () => $this->assessments->putAway(
                $learner, $instructor, self::SHEET, PutAwayBecause::from($story['put_away']['because']), $story['put_away']['words'],
            ));
        }
        if (isset($story['assessment'])) {
            $this->on($at(0.92, 14), function () use ($learner, $story, $instructor): void {
                $attempt = $this->assess($learner, $story['assessment'], $instructor, lot: $story['lot'] ?? false);
                isset($story['agrees']) && ($this->say)($attempt, $learner, (string) Str::uuid7(), $story['agrees'], '');
                isset($story['appeal']) && ($this->appeal)($attempt, $learner, (string) Str::uuid7(), $story['appeal']);
            });
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
                    Scope::fromRow($story['scope'] ?? ['materials' => ['mild_steel']]),
                    Policy::inForce()->hours->endOfDay($signed->addDays($permit->validity_days)),
                ),
            );
        }
        foreach ($story['shown'] ?? [] as $slug) {
            $this->on(CarbonImmutable::now()->subDays(4)->setTime(15, 5), function () use ($learner, $slug): void {
                $machine = Machine::query()->where('slug', $slug)->firstOrFail();
                $toShow = array_column($this->known->one($learner, $machine)->toShow(), 'value');
                ($this->showMachine)($learner, $machine, $this->instructors[0], $toShow, (string) Str::uuid7());
            });
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

    /**
     * One permit from its lessons as far as somebody came, over a fortnight.
     *
     * @param  'lessons'|'check'|'practice'|'assessment'|'signed'  $until
     */
    private function climb(User $learner, string $code, string $until, User $instructor, CarbonImmutable $from): void
    {
        // A shop that was told to teach less has it not.
        $permit = Permit::query()->with(['statements', 'machines'])->where('code', $code)->first();
        if ($permit === null) {
            return;
        }
        $far = array_search($until, self::STAGES, true);
        $asked = $permit->requirement;
        $steps = [
            fn () => array_map(fn (string $lesson) => $this->lesson($learner, $lesson, $instructor), $asked['lessons']),
            fn () => array_map(fn (string $check) => $this->check($learner, true, $check), $asked['checks']),
            function () use ($learner, $instructor, $permit, $asked): void {
                array_map(fn (string $lesson) => $this->lesson($learner, $lesson, $instructor), $asked['guided'] ?? []);
                $count = max(1, $asked['practice_count']);
                for ($time = 0; $time < $count; $time++) {
                    $minutes = max(5, (int) ceil($asked['practice_minutes'] / $count));
                    $this->practice($learner, $permit->name, $minutes, $instructor, $permit);
                }
            },
            fn () => array_map(fn (string $sheet) => $this->assess($learner, 'passed', $instructor, $sheet), $asked['assessments']),
            function () use ($learner, $instructor, $permit): void {
                ($this->acknowledge)($learner, $permit, $permit->statementInForce()->version);
                $valid = Policy::inForce()->hours->endOfDay(CarbonImmutable::now()->addDays($permit->validity_days));
                ($this->signOff)($learner, $permit, $instructor, DemoShop::PIN, self::shownBy($permit), $valid);
            },
        ];
        foreach (array_slice($steps, 0, (int) $far + 1) as $day => $step) {
            $this->on($from->addDays($day)->setTime(9 + $day, ($learner->id * 7) % 60), $step);
        }
    }

    /** As much as the sheets of a permit show on their first pieces. */
    private static function shownBy(Permit $permit): Scope
    {
        $shows = array_merge(...array_map(
            static fn (string $sheet): array => Sheet::current($sheet)->shows(null),
            $permit->requirement['assessments'],
        ));
        $materials = array_merge(...array_map(static fn (array $one): array => Given::texts($one['materials'] ?? []), $shows));

        return Scope::fromRow([
            ...$permit->scope,
            'materials' => array_values(array_intersect(Given::texts($permit->scope['materials'] ?? []), $materials)),
            'operations' => array_values(array_intersect(
                Given::texts($permit->scope['operations'] ?? []), Given::texts(array_column($shows, 'operation')),
            )),
        ]);
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

    /** What a careful learner reads there. */
    private function reading(Progress $progress, string $kind): string
    {
        $case = $this->cases->case($progress->lesson, $progress->learner);
        $scale = $this->cases->machine($progress->lesson, $progress->learner)?->depth_scale;
        if ($case === null) {
            return '';
        }
        $hole = $progress->lesson->hole === null ? null : $progress->lesson->part?->mainHole($progress->lesson->hole);
        $window = (new LessonReading(
            $case,
            Length::mm($scale['graduation_mm'] ?? 1),
            Length::mm($scale['travel_mm'] ?? 100),
            $hole === null ? null : new Limits(Length::mm($hole['lower_mm']), Length::mm($hole['upper_mm'])),
        ))->window($kind, $progress->reading('scale_touch'));
        [$lower, $upper] = [$window->lower->inMm(), $window->upper->inMm()];

        return match (true) {
            $kind === 'divisions' => (string) round($lower),
            $kind === 'scale_touch' => min(14, floor($upper)).' mm',
            in_array($kind, LessonReading::ON_SCALE, true) => round($lower + 0.06, 2).' mm',
            $kind === 'hole_diameter' => round(($case->hole?->diameter()->inMm() ?? $lower) + 0.12, 2).' mm',
            default => round(($lower + $upper) / 2, 2).' mm',
        };
    }

    private function check(User $learner, bool $pass, string $code = 'SC-through-holes'): void
    {
        $attempt = ($this->startCheck)($learner, Check::current($code), (string) Str::uuid7());
        $answers = [];
        foreach ($attempt->paper()->questions as $question) {
            $answers[$question->id] = ! $pass && $question->critical ? self::wrongly($question)
                : $question->rightAnswer();
        }
        ($this->handInCheck)($attempt, $answers);
    }

    /** @return list<string> the first option that is wrong; nothing seen, where there is something to see */
    private static function wrongly(DrawnQuestion $question): array
    {
        /** @var list<array{id: string}> $choices */
        $choices = $question->forLearner()['choices'];

        return array_slice(array_values(array_diff(array_column($choices, 'id'), $question->rightAnswer())), 0, 1);
    }

    private function practice(User $learner, string $exercise, int $minutes, ?User $confirmedBy, ?Permit $for = null): void
    {
        $machine = $for?->machines->sortBy('id')->first() ?? Machine::query()->where('slug', 'bench-drill')->firstOrFail();
        $entry = ($this->logPractice)($learner, $machine, [
            'permit' => $for?->further === true ? $for->code : null,
            'id' => (string) Str::uuid7(), 'exercise' => $exercise, 'minutes' => $minutes,
            'done_on' => CarbonImmutable::now()->toDateString(),
        ]);
        if ($confirmedBy !== null) {
            ($this->decide)($entry, $confirmedBy, true);
        }
    }

    private function assess(
        User $learner,
        string $outcome,
        User $assessor,
        string $sheet = self::SHEET,
        bool $lot = false,
    ): SheetAttempt {
        // Every other time another instructor watches.
        $others = array_values(array_filter($this->instructors, static fn (User $other): bool => ! $other->is($assessor)));
        $watched = ! $lot && $others !== [] && ($learner->id + strlen($sheet)) % 2 === 0;

        return $this->assessments->conduct(
            $learner, $outcome, $assessor, $sheet, $watched ? $others[$learner->id % count($others)] : null, $lot,
        );
    }
}
