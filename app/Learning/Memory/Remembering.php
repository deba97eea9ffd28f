<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\Learning\Check;
use App\Learning\CheckAttempt;
use App\Learning\Lesson;
use App\People\User;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use MillStep\Core\Learning\Memory\MemoryState;
use MillStep\Core\Learning\Memory\Review;

/**
 * What learners still have of the checks that they passed, from every answer they gave: on papers and when asked again. What
 * was never passed is not fading, it is not learned yet.
 */
final class Remembering
{
    /**
     * @param  Collection<array-key, User>  $learners
     * @return array<int, list<Remembered>> by learner, the one that has faded most first
     */
    public function of(Collection $learners, CarbonImmutable $now): array
    {
        $ids = $learners->pluck('id');
        $attempts = CheckAttempt::query()->with('check:id,code')->whereIn('learner_id', $ids)->whereNotNull('result')
            ->where('submitted_at', '<=', $now)->orderBy('submitted_at')->get();
        $recalls = Recall::query()->with('check:id,code')->whereIn('learner_id', $ids)->where('answered_at', '<=', $now)
            ->orderBy('answered_at')->get(['id', 'learner_id', 'check_id', 'question', 'right', 'answered_at']);
        $checks = Check::query()->orderBy('version')->get()->keyBy('code');
        $lessons = $checks->map(static fn (Check $check): array => $check->bank()->lessons());
        $of = [];
        foreach ($learners as $learner) {
            $id = $learner->id;
            $remembered = [];
            foreach (self::reviews($attempts->where('learner_id', $id), $recalls->where('learner_id', $id)) as $code => $questions) {
                foreach ($questions as $question => $reviews) {
                    // A question that the check no longer asks is not asked again either.
                    $lesson = $lessons[$code][$question] ?? null;
                    if ($lesson !== null && isset($checks[$code])) {
                        $remembered[] = new Remembered($checks[$code], $question, $lesson, (new MemoryState($reviews, $now))->compute());
                    }
                }
            }
            usort($remembered, static fn (Remembered $one, Remembered $other): int => $one->memory->recall <=> $other->memory->recall);
            $of[$id] = $remembered;
        }

        return $of;
    }

    /**
     * @param  Collection<array-key, CheckAttempt>  $attempts  of one learner
     * @param  Collection<array-key, Recall>  $recalls  of the same
     * @return array<string, array<string, list<Review>>> by check and question, of checks that were passed
     */
    private static function reviews(Collection $attempts, Collection $recalls): array
    {
        $reviews = [];
        $passed = [];
        foreach ($attempts as $attempt) {
            $passed[$attempt->check->code] = ($passed[$attempt->check->code] ?? false) || ($attempt->result['passed'] ?? false) === true;
            foreach (Given::rows($attempt->result['lines'] ?? null) as $line) {
                $reviews[$attempt->check->code][Given::text($line['id'] ?? null)][] = new Review(
                    $attempt->submitted_at ?? $attempt->started_at,
                    ($line['right'] ?? false) === true,
                );
            }
        }
        foreach ($recalls as $recall) {
            $reviews[$recall->check->code][$recall->question][] = new Review(
                $recall->answered_at ?? $recall->asked_at,
                $recall->right === true,
            );
        }

        return array_intersect_key($reviews, array_filter($passed));
    }

    /**
     * Lesson by lesson, over one learner or many: the weakest first.
     *
     * @param  list<Remembered>  $remembered
     * @return list<array{lesson: string, title: string, recall: float, questions: int, due: int}>
     */
    public static function byLesson(array $remembered): array
    {
        $titles = Lesson::query()->orderBy('version')->get(['code', 'version', 'title', 'translations'])->keyBy('code');
        $lessons = [];
        foreach ($remembered as $one) {
            $lessons[$one->lesson][] = $one;
        }
        $rows = array_map(static fn (string $lesson, array $ones): array => [
            'lesson' => $lesson,
            'title' => (string) $titles->get($lesson)?->title,
            'recall' => round(array_sum(array_map(static fn (Remembered $one): float => $one->memory->recall, $ones)) / count($ones), 3),
            'questions' => count($ones),
            'due' => count(array_filter($ones, static fn (Remembered $one): bool => $one->memory->due)),
        ], array_map(strval(...), array_keys($lessons)), array_values($lessons));
        usort($rows, static fn (array $one, array $other): int => $one['recall'] <=> $other['recall']);

        return $rows;
    }
}
