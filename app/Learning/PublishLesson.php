<?php

declare(strict_types=1);

namespace App\Learning;

use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\SameContent;
use App\Workshop\Part;

/** A version of a lesson, out of its file and what it is in other languages. Sent twice, it is one. */
final class PublishLesson
{
    /**
     * @param  array<string, LessonFile>  $translations  by language
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(LessonFile $file, array $translations = []): Lesson
    {
        array_map($file->assertSays(...), array_values($translations));
        $front = $file->front;
        $part = isset($front['part']) ? Part::query()->where('slug', $front['part'])->first() : null;
        FaultyContent::unless(match (true) {
            isset($front['part']) && $part === null => [ContentFault::at($file->file, 1, 'no_part', ['part' => (string) $front['part']])],
            isset($front['hole']) && $part !== null && ! $part->hasHole((string) $front['hole']) => [
                ContentFault::at($file->file, 1, 'no_hole', ['part' => $part->slug, 'hole' => (string) $front['hole']]),
            ],
            default => [],
        });
        $row = [
            'code' => $front['code'], 'version' => $front['version'], 'title' => $front['title'], 'place' => $front['place'],
            'minutes' => $front['minutes'], 'tools' => array_values($front['tools'] ?? []), 'hole' => $front['hole'] ?? null,
            'accepted_from' => $front['accepted_from'] ?? $front['version'],
            'part_id' => $part?->id, 'machine_kind' => $front['machine'] ?? null, 'findings' => array_values($front['findings'] ?? []),
            'steps' => $file->steps,
            'translations' => array_map(static fn (LessonFile $said): array => [
                'title' => $said->front['title'], 'place' => $said->front['place'], 'tools' => array_values($said->front['tools'] ?? []),
                // Found again by key and id, as every translation is.
                'steps' => array_map(static fn (array $step): array => [
                    ...$step, 'choice' => $step['choice'] === null ? null : array_column($step['choice'], null, 'id'),
                ], array_column($said->steps, null, 'key')),
            ], $translations),
        ];
        $known = Lesson::query()->where('code', $row['code'])->where('version', $row['version'])->first();
        if ($known !== null) {
            // Words in another language may come later; what was taught under this number stays as it was.
            FaultyContent::unless(SameContent::is($known->taught(), $file->steps) ? [] : [
                ContentFault::at($file->file, 1, 'version_taken', ['code' => $row['code'], 'version' => $row['version']]),
            ]);
            $known->update(['translations' => $row['translations'], 'findings' => $row['findings']]);

            return $known;
        }

        return Lesson::query()->create($row);
    }
}
