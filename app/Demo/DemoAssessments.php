<?php

declare(strict_types=1);

namespace App\Demo;

use App\Assessment\AnswerTasks;
use App\Assessment\Apart;
use App\Assessment\ConcludeAssessment;
use App\Assessment\MarkCriterion;
use App\Assessment\NoteOnSheet;
use App\Assessment\OpenSheet;
use App\Assessment\PutSheetAway;
use App\Assessment\Scoring;
use App\Assessment\Seat;
use App\Assessment\Second\SaySecond;
use App\Assessment\Second\TakeSecondSeat;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Policy\Policy;
use App\Workshop\Gauges\Gauge;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Str;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Assessment\PutAwayBecause;
use MillStep\Core\Assessment\SecondView;
use MillStep\Core\Assessment\Task;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * One practical assessment of the demo, done by the very actions that the application uses: the learner measures, the assessor
 * after them, each with a hand and an eye of their own, and sometimes a second instructor watches.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 */
final class DemoAssessments
{
    /** How often whoever assesses lets a slow start pass as met: the demo's instructors are not alike. */
    private const LENIENT = [0.95, 0.7, 0.85];

    private const MINUTES = 75;

    /** Past its date, and off by its zero: shop.yaml. */
    private const OLD_CALIPER = 'caliper-2';

    /** Whoever passes a sheet was prompted at so many lines at most. */
    private const PROMPTS = 2;

    /** So many lines are marked of a sheet that is put away. */
    private const BEGUN = 6;

    private const SEEDS = 1_000_000;

    /** So often two read again at most until they agree. */
    private const READINGS = 8;

    private int $prompted = 0;

    private Randomizer $random;

    public function __construct(
        private readonly OpenSheet $open,
        private readonly MarkCriterion $mark,
        private readonly AnswerTasks $answer,
        private readonly ConcludeAssessment $conclude,
        private readonly TakeSecondSeat $takeSecond,
        private readonly SaySecond $saySecond,
        private readonly Scoring $scoring,
        private readonly PutSheetAway $putSheetAway,
        private readonly NoteOnSheet $note,
    ) {
        $this->random = new Randomizer(new Mt19937(1859));
    }

    /**
     * @param  string  $outcome  what it comes to: passed, not_yet, stopped; or why it is put away half way
     * @param  bool  $lot  a second view is drawn for it, and nobody is there to give it
     */
    public function conduct(
        User $learner,
        string $outcome,
        User $assessor,
        string $code,
        ?User $second = null,
        bool $lot = false,
    ): SheetAttempt {
        // It takes an hour, and is concluded at the time that it is told of.
        $end = CarbonImmutable::now();
        Date::setTestNow($end->subMinutes(self::MINUTES));
        $attempt = $this->open($code, $learner, $assessor, $second !== null || $lot);
        $attempt = SheetAttempt::withSheet()->findOrFail($attempt->id);
        foreach ($attempt->sheet->tasks as $task) {
            $key = Task::fromFields(Fields::of($task))->key($attempt->personal());
            ($this->answer)($attempt, $task['id'], round($key, 2).' mm', 'mm');
        }
        $second === null || ($this->takeSecond)($attempt, $second);
        $this->prompted = 0;
        foreach ($attempt->criteria() as $index => $criterion) {
            $stopped = $this->observe($attempt, $criterion, $index, $outcome, $assessor, $second);
            if ($stopped) {
                break;
            }
        }
        Date::setTestNow($end);
        $attempt = ($this->conclude)($attempt, $assessor);
        $second === null || ($this->saySecond)($attempt, $second, true, null);

        return $attempt;
    }

    /** A try that comes to nothing: begun, marked a little, and put away. */
    public function putAway(User $learner, User $assessor, string $code, PutAwayBecause $because, string $words): void
    {
        $attempt = $this->open($code, $learner, $assessor, false);
        $attempt = SheetAttempt::withSheet()->findOrFail($attempt->id);
        foreach (array_slice($attempt->criteria(), 0, self::BEGUN) as $criterion) {
            Date::setTestNow(CarbonImmutable::now()->addSeconds($this->random->getInt(20, 80)));
            $criterion['kind'] === 'observed' && $this->write($attempt, $assessor, Seat::Assessor, $criterion, ['result' => 'met']);
        }
        ($this->putSheetAway)($attempt, $assessor, $because, $words);
    }

    /** At the shop's first machine that it may be done at. */
    private function open(string $code, User $learner, User $assessor, bool $drawn): SheetAttempt
    {
        $sheet = Sheet::current($code);

        return ($this->open)($sheet, $learner, $assessor, (string) Str::uuid7(), $this->seed($drawn),
            machine: $sheet->machine_kind === null ? null : $sheet->machines()->first());
    }

    /** One for which a second view is drawn, or is not. */
    private function seed(bool $drawn): int
    {
        $every = max(2, Policy::inForce()->secondViewEvery);
        do {
            $seed = $this->random->getInt(1, self::SEEDS);
        } while (SecondView::isDrawn($seed, $every) !== $drawn);

        return $seed;
    }

    /**
     * @param  SheetCriterion  $criterion
     * @return bool whether it stopped the sheet
     */
    private function observe(SheetAttempt $attempt, array $criterion, int $index, string $outcome, User $assessor, ?User $second): bool
    {
        Date::setTestNow(CarbonImmutable::now()->addSeconds($this->random->getInt(20, 80)));
        if ($criterion['kind'] === 'measured') {
            $part = $this->part($attempt, $criterion, $outcome === 'not_yet' && $this->isLastMeasured($attempt, $criterion));
            $zero = $this->gauge($criterion, Seat::Learner) === self::OLD_CALIPER ? 0.02 : 0.0;
            $this->write($attempt, $attempt->learner, Seat::Learner, $criterion, [
                'reading' => $this->read($part, 0.03, $zero, $this->tip($criterion, Seat::Learner)),
            ]);
            Date::setTestNow(CarbonImmutable::now()->addSeconds(25));
            $this->write($attempt, $assessor, Seat::Assessor, $criterion, [
                'reading' => $this->read($part, 0.01, tip: $this->tip($criterion, Seat::Assessor)),
            ]);
            $this->untilSure($attempt, $criterion, $part, $assessor);

            return false;
        }
        $stops = $outcome === 'stopped' && $criterion['critical'] && ($criterion['id'] === 'key' || $index > 6);
        $result = $this->seen($criterion, $outcome, $assessor, $stops);
        $this->prompted += $result === 'prompted' ? 1 : 0;
        $this->write($attempt, $assessor, Seat::Assessor, $criterion, ['result' => $result]);
        if (isset($criterion['follow_ups'])) {
            $said = Str::ucfirst(Str::after($criterion['levels']['met'] ?? '', 'Says '));
            ($this->note)($attempt, $assessor, (string) Str::uuid7(), $criterion['id'], $said, CarbonImmutable::now());
        }
        if ($second !== null) {
            // On burrs and on easing off the two have eyes of their own.
            $otherwise = $result === 'met' && in_array($criterion['id'], ['deburred', 'eased'], true) && $this->chance(0.45);
            $this->write($attempt, $second, Seat::Second, $criterion, [
                'result' => match (true) {
                    $otherwise => 'prompted',
                    $this->chance(0.85) => $result,
                    default => $this->seen($criterion, 'passed', $second, false),
                },
            ]);
        }

        return $stops;
    }

    /**
     * @param  SheetCriterion  $criterion
     * @param  array{result?: string|int, reading?: array<string, string>}  $what
     */
    private function write(SheetAttempt $attempt, User $by, Seat $seat, array $criterion, array $what): void
    {
        ($this->mark)($attempt, $by, $seat, [
            'id' => (string) Str::uuid7(), 'criterion' => $criterion['id'], 'made_at' => CarbonImmutable::now(), 'units' => 'mm',
            ...(isset($what['reading']) ? ['gauge' => $this->gauge($criterion, $seat)] : []), ...$what,
        ]);
    }

    /**
     * @param  SheetCriterion  $criterion
     * @param  array{way: string, mm: float}  $part
     */
    private function untilSure(SheetAttempt $attempt, array $criterion, array $part, User $assessor): void
    {
        for ($again = 0; $again < self::READINGS; $again++) {
            $now = SheetAttempt::withSheet()->findOrFail($attempt->id);
            $next = (new Apart($this->scoring, $now, $criterion))->readers()->next();
            if ($next === null) {
                return;
            }
            Date::setTestNow(CarbonImmutable::now()->addSeconds(30));
            // Whoever reads again has zeroed, and takes more care.
            $seat = Seat::from($next);
            $this->write($attempt, $seat === Seat::Learner ? $attempt->learner : $assessor, $seat, $criterion, [
                'reading' => $this->read($part, 0.005, tip: $this->tip($criterion, $seat)),
            ]);
        }
    }

    /**
     * @param  SheetCriterion  $criterion
     */
    private function seen(array $criterion, string $outcome, User $assessor, bool $stops): string|int
    {
        if ($criterion['kind'] === 'judged') {
            return max(1, ($criterion['scale_max'] ?? 4) - $this->random->getInt(0, 1));
        }
        if ($stops) {
            return 'not_met';
        }
        $clean = $this->chance(self::LENIENT[$assessor->id % count(self::LENIENT)]);
        $work = ! $criterion['critical'] && $criterion['group'] === 'work';

        return match (true) {
            $outcome === 'not_yet' && $work && $this->chance(0.7) => 'prompted',
            $criterion['critical'] || $clean || ! $work || ($outcome === 'passed' && $this->prompted >= self::PROMPTS) => 'met',
            default => 'prompted',
        };
    }

    /**
     * What the part really is: well inside its limits, or a little outside.
     *
     * @param  SheetCriterion  $criterion
     * @return array{way: string, mm: float}
     */
    private function part(SheetAttempt $attempt, array $criterion, bool $out): array
    {
        $way = WaysOfMeasuring::asks($criterion['measure'] ?? '');
        $limits = $this->scoring->wanted($attempt, $criterion)->limits();
        $upper = $limits['upper_mm'] ?? 1.0;
        $lower = $limits['lower_mm'] ?? 0.0;
        $middle = $way === 'place' ? $upper * 0.28 : $lower + ($upper - $lower) * (0.3 + 0.4 * $this->unit());

        // Now and then a size lies where the gauge cannot tell, and is read again.
        if ($way === 'length' && ! $out && isset($limits['lower_mm']) && $upper - $lower > 0.08 && $this->chance(0.08)) {
            $middle = $upper - 0.015;
        }

        return ['way' => $way, 'mm' => $out ? $upper + ($way === 'place' ? 0.3 : 0.18) : $middle];
    }

    /**
     * @param  array{way: string, mm: float}  $part
     * @param  float  $hand  how far this reader's readings lie about the part, mm
     * @param  float  $zero  what their gauge shows where there is nothing, mm
     * @param  float  $tip  how wide its jaws are in a hole, mm
     * @return array<string, string>
     */
    private function read(array $part, float $hand, float $zero = 0.0, float $tip = 0.0): array
    {
        $noise = fn (): float => round(($this->unit() + $this->unit() + $this->unit() - 1.5) * $hand, 2);

        return match ($part['way']) {
            'plug' => ['go' => 'yes', 'no_go' => $part['mm'] > 1 ? 'yes' : 'no'],
            'thread' => ['go' => 'yes', 'turns' => $part['mm'] > 1 ? '3' : (string) $this->random->getInt(0, 1)],
            'place' => [
                'dx' => self::typed(0.35 * $part['mm'] + $noise()),
                'dy' => self::typed(-0.3 * $part['mm'] + $noise()),
            ],
            default => ['value' => self::typed(max(0.0, sqrt(max(0.0, $part['mm'] ** 2 - $tip ** 2)) + $zero + $noise()))],
        };
    }

    /**
     * The gauge that lay there; learners have the older caliper, which is past its date.
     *
     * @param  SheetCriterion  $criterion
     */
    private function gauge(array $criterion, Seat $seat): ?string
    {
        $slug = match (true) {
            ($criterion['measure'] ?? '') === 'plug' => 'plugs-6-h7-and-10-h7',
            ($criterion['measure'] ?? '') === 'thread' => 'm4-thread-gauge',
            ($criterion['feature'] ?? '') === 'depth' => 'depth-gauge',
            ($criterion['feature'] ?? '') === 'gap' => 'square-and-feelers',
            default => $seat === Seat::Learner ? self::OLD_CALIPER : 'caliper-1',
        };

        // A shop that was told of no gauges measures with its caliper.
        return Gauge::query()->where('slug', $slug)->exists() ? $slug : null;
    }

    /**
     * What its jaws take off what is read in a hole.
     *
     * @param  SheetCriterion  $criterion
     */
    private function tip(array $criterion, Seat $seat): float
    {
        $bore = ($criterion['measure'] ?? '') === 'diameter' || ($criterion['feature'] ?? '') === 'bore';
        $gauge = $bore ? $this->gauge($criterion, $seat) : null;

        return $gauge === null ? 0.0 : Gauge::query()->where('slug', $gauge)->sole()->tip_mm ?? 0.0;
    }

    /** @param  SheetCriterion  $criterion */
    private function isLastMeasured(SheetAttempt $attempt, array $criterion): bool
    {
        $measured = array_filter($attempt->criteria(), static fn (array $one): bool => $one['kind'] === 'measured');

        return ($measured[array_key_last($measured) ?? 0]['id'] ?? null) === $criterion['id'];
    }

    private static function typed(float $mm): string
    {
        return number_format(Length::mm($mm)->inMm(), 2, '.', '').' mm';
    }

    private function chance(float $of): bool
    {
        return $this->unit() < $of;
    }

    private function unit(): float
    {
        return $this->random->getInt(0, 1_000_000) / 1_000_000;
    }
}
