<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use App\Support\Given;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Check\Analysis\ItemAnalysis;
use MillStep\Core\Learning\Check\Analysis\ItemAnswer;
use MillStep\Core\Learning\Check\Analysis\ItemFigures;
use MillStep\Core\Learning\Check\Analysis\ItemVerdict;

/** How the safety checks went with those whom somebody teaches: per check, and per question of one. */
final class CheckFigures
{
    /** @return list<array<string, mixed>> */
    public function rows(User $by): array
    {
        $attempts = $this->attempts($by)->groupBy('check.code');

        return array_values(Check::query()->orderBy('version')->get()->keyBy('code')->sortKeys()
            ->map(function (Check $check) use ($attempts): array {
                $papers = $attempts->get($check->code, new Collection());

                return [
                    'code' => $check->code,
                    'title' => $check->title,
                    'questions' => count($check->questions),
                    'papers' => $papers->count(),
                    'passed' => $papers->filter(static fn (CheckAttempt $one): bool => ($one->result['passed'] ?? false) === true)->count(),
                    'misleading' => count(array_filter(
                        self::analysed($papers),
                        static fn (ItemFigures $one): bool => $one->verdict === ItemVerdict::Misleads,
                    )),
                ];
            })->all());
    }

    /** @return array<string, mixed> questions that mislead first, then by how many knew them; those never asked at the end */
    public function of(Check $check, User $by): array
    {
        $papers = $this->attempts($by)->where('check.code', $check->code);
        $figures = self::analysed($papers);
        $questions = (new Collection($check->questions))->keyBy('id');
        $known = array_intersect_key($figures, $questions->all());
        $items = [];
        foreach ([...$known, ...$questions->diffKeys($figures)->all()] as $id => $one) {
            $question = Given::fields($questions->get($id));
            $items[] = [
                'id' => (string) $id,
                ...array_intersect_key($question, ['kind' => 0, 'lesson' => 0, 'text' => 0, 'explanation' => 0]),
                'critical' => ($question['critical'] ?? false) === true,
                ...$one instanceof ItemFigures ? [
                    'asked' => $one->asked, 'right' => $one->right, 'success' => $one->success,
                    'wrong' => self::chosen($one->wrong, $question),
                    'correlation' => $one->correlation, 'verdict' => $one->verdict->value,
                ] : [
                    'asked' => 0, 'right' => 0, 'success' => null, 'wrong' => [], 'correlation' => null,
                    'verdict' => ItemVerdict::TooFew->value,
                ],
            ];
        }

        return [
            'code' => $check->code, 'title' => $check->title, 'version' => $check->version, 'papers' => $papers->count(),
            'passed' => $papers->filter(static fn (CheckAttempt $one): bool => ($one->result['passed'] ?? false) === true)->count(),
            'on_paper' => $this->onPaper($check, $by),
            'items' => $items,
        ];
    }

    /** @return list<array{id: string, learner: string, since: string}> given out on paper, and not typed in yet */
    private function onPaper(Check $check, User $by): array
    {
        return array_values(CheckAttempt::query()->with('learner:id,name')->whereNotNull('paper_by')->whereNull('submitted_at')
            ->whereRelation('check', 'code', $check->code)->whereIn('learner_id', $by->reached()->reorder()->select('id'))
            ->get()->sortBy('learner.name')->map(static fn (CheckAttempt $attempt): array => [
                'id' => $attempt->id, 'learner' => $attempt->learner->name, 'since' => $attempt->started_at->toIso8601ZuluString(),
            ])->all());
    }

    /** @return Collection<array-key, CheckAttempt> handed in, of those whom somebody teaches */
    private function attempts(User $by): Collection
    {
        return CheckAttempt::query()->with('check:id,code,version')->whereNotNull('result')
            ->whereIn('learner_id', $by->reached()->reorder()->select('id'))->orderBy('submitted_at')->get()->toBase();
    }

    /**
     * @param  Collection<array-key, CheckAttempt>  $attempts
     * @return array<string, ItemFigures>
     */
    private static function analysed(Collection $attempts): array
    {
        return ItemAnalysis::of(array_values($attempts->map(static function (CheckAttempt $attempt): array {
            $answers = [];
            foreach (Given::rows($attempt->result['lines'] ?? null) as $line) {
                $id = Given::text($line['id'] ?? null);
                $answers[$id] = new ItemAnswer(($line['right'] ?? false) === true, $attempt->answers[$id] ?? []);
            }

            return $answers;
        })->all()));
    }

    /**
     * What was chosen, in the words in which it was offered; a place of a scene by its name.
     *
     * @param  array<string, int>  $wrong
     * @param  array<string, mixed>  $question
     * @return list<array{chosen: string|Message, times: int}>
     */
    private static function chosen(array $wrong, array $question): array
    {
        $texts = array_column([...Given::rows($question['options'] ?? null), ...Given::rows($question['steps'] ?? null)], 'text', 'id');
        $rights = array_column(array_filter(
            Given::rows($question['options'] ?? null),
            static fn (array $option): bool => ($option['right'] ?? false) === true,
        ), 'id');
        $said = [];
        foreach ($wrong as $id => $times) {
            // Of several, what was rightly chosen is nothing to mend; steps out of order are all of them chosen.
            if (! in_array((string) $id, $rights, true) && ! isset($question['steps'])) {
                $said[] = [
                    'chosen' => isset($question['scene']) ? Message::of("setup.scene.place.$id") : Given::text($texts[$id] ?? (string) $id),
                    'times' => $times,
                ];
            }
        }

        return array_slice($said, 0, 4);
    }
}
