<?php

declare(strict_types=1);

namespace App\Content\Writing;

use App\Competency\Permit;
use App\Learning\Lesson;
use App\Learning\Progress;
use App\People\User;
use Illuminate\Support\Collection;

/** All lessons as those who teach see them: which version is taught, who asks for it, and who is where in which. */
final class LessonShelf
{
    /** @return list<array<string, mixed>> by code, the way a hand would sort them */
    public function rows(): array
    {
        $permits = Permit::query()->orderBy('id')->get();

        return array_values(Lesson::query()->orderBy('version')
            ->get(['id', 'code', 'version', 'title', 'place', 'minutes', 'own', 'retired_at', 'translations'])->keyBy('code')
            ->sortKeys(SORT_NATURAL)->map(static fn (Lesson $lesson): array => [
                'code' => $lesson->code,
                'version' => $lesson->version,
                'title' => $lesson->title,
                'place' => $lesson->place,
                'minutes' => $lesson->minutes,
                'own' => $lesson->own,
                'retired' => $lesson->retired_at !== null,
                'permits' => array_values($permits->filter(static fn (Permit $permit): bool => in_array($lesson->code, [
                    ...$permit->requirement['lessons'], ...$permit->requirement['guided'] ?? [],
                ], true))->map(static fn (Permit $permit): string => $permit->name)->all()),
            ])->all());
    }

    /** @return array<string, mixed> one with its versions, the newest first, and the texts of the one that is taught */
    public function of(string $code, User $by): array
    {
        $versions = Lesson::query()->where('code', $code)->orderByDesc('version')->get();
        $latest = $versions->first() ?? abort(404);
        $begun = Progress::query()->with('learner:id,name')->whereIn('lesson_id', $versions->modelKeys())
            ->whereIn('learner_id', $by->reached()->reorder()->select('id'))->where('answers', '!=', '{}')->get()->groupBy('lesson_id');
        $writers = User::query()->whereIn('id', $versions->pluck('published_by')->filter())->pluck('name', 'id');

        return [
            'code' => $code,
            'title' => $latest->title,
            'version' => $latest->version,
            'own' => $latest->own,
            'retired' => $latest->retired_at !== null,
            'permits' => RetireLesson::permits($code),
            'texts' => self::texts($latest),
            'versions' => array_values($versions->map(static function (Lesson $lesson) use ($latest, $begun, $writers): array {
                /** @var Collection<int, Progress> $there */
                $there = $begun->get($lesson->id, new Collection);

                return [
                    'version' => $lesson->version,
                    'own' => $lesson->own,
                    'counts' => $lesson->version >= $latest->accepted_from,
                    'published_at' => $lesson->published_at?->toIso8601ZuluString(),
                    'published_by' => $writers[$lesson->published_by] ?? null,
                    'under_way' => self::names($there->whereNull('completed_at')),
                    'completed' => self::names($there->whereNotNull('completed_at')),
                    'kept' => self::texts($lesson) !== [],
                ];
            })->all()),
        ];
    }

    /** @return list<array{language: string, text: string}> to the letter, the original first; empty where they were not kept yet */
    public static function texts(Lesson $lesson): array
    {
        $texts = $lesson->sources['texts'] ?? [];
        uksort($texts, static fn (string $one): int => $one === ($lesson->sources['language'] ?? 'en') ? -1 : 1);

        return array_map(
            static fn (string $language, string $text): array => ['language' => $language, 'text' => $text],
            array_keys($texts),
            array_values($texts),
        );
    }

    /**
     * @param  Collection<int, Progress>  $progress
     * @return list<string>
     */
    private static function names(Collection $progress): array
    {
        return array_values($progress->map(static fn (Progress $each): string => $each->learner->name)->unique()->sort()->all());
    }
}
