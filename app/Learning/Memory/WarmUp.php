<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\Learning\Check;
use App\People\Cohort;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use MillStep\Core\Learning\Check\PaperLine;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

/** Ten minutes at the projector: questions of the lessons that a class has lost most of. */
final class WarmUp
{
    private const LESSONS = 3;

    private const QUESTIONS = 6;

    public function __construct(private readonly Remembering $remembering)
    {
    }

    /**
     * The same seed draws the same figures and scenes; which lessons are weakest is as of now.
     *
     * @return array{lessons: list<array<string, mixed>>, questions: list<array<string, mixed>>}
     */
    public function of(Cohort $cohort, int $seed): array
    {
        $learners = User::learners()->whereRelation('cohorts', 'people_cohorts.id', $cohort->id)->get();
        $remembered = array_merge(...array_values($this->remembering->of($learners->toBase(), CarbonImmutable::now())));
        $weakest = array_slice(Remembering::byLesson($remembered), 0, self::LESSONS);
        $of = new Collection($remembered);
        $picked = [];
        foreach ($weakest as $lesson) {
            $questions = $of->where('lesson', $lesson['lesson'])
                ->groupBy(static fn (Remembered $one): string => $one->check->code.' '.$one->question)
                ->sortBy(static fn (Collection $ones): float => (float) $ones->avg(
                    static fn (Remembered $one): float => $one->memory->recall,
                ));
            foreach ($questions->take(intdiv(self::QUESTIONS, self::LESSONS)) as $ones) {
                $one = $ones->first();
                if ($one instanceof Remembered) {
                    $picked[] = self::shown($one->check, $one->question, $one->lesson, $seed + count($picked), (float) $ones->avg(
                        static fn (Remembered $same): float => $same->memory->recall,
                    ));
                }
            }
        }

        return ['lessons' => $weakest, 'questions' => $picked];
    }

    /** @return array<string, mixed> with its answer: the instructor shows it once all have said theirs */
    private static function shown(Check $check, string $question, string $lesson, int $seed, float $recall): array
    {
        /** @var DrawnQuestion $drawn */
        $drawn = $check->bank()->question($question, $seed);

        return [
            'question' => $drawn->forLearner(),
            'line' => PaperLine::of($drawn, $drawn->rightAnswer(), 'mm')->toArray(),
            'answer' => $drawn->rightAnswer(),
            'lesson' => $lesson,
            'recall' => round($recall, 3),
        ];
    }
}
