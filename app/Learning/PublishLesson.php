<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\Events\LessonPublished;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\PowerLock;
use App\Support\SameContent;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** A version of a lesson, out of its file and what it is in other languages. Sent twice, it is one. */
final class PublishLesson
{
    /**
     * @param  array<string, LessonFile>  $translations  by language
     * @param  bool  $own  written in this shop, not taken in with a pack
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(
        LessonFile $file,
        array $translations = [],
        string $language = 'en',
        ?User $by = null,
        bool $own = false,
    ): Lesson {
        $row = $this->row($file, $translations, $language);

        return DB::transaction(function () use ($row, $file, $by, $own): Lesson {
            // Which versions count decides who runs: whoever is deciding that is waited for.
            PowerLock::forRestriction();
            $known = Lesson::query()->where('code', $row['code'])->where('version', $row['version'])->first();
            if ($known !== null) {
                // Words in another language may come later; what was taught under this number stays as it was.
                FaultyContent::unless(SameContent::is($known->taught(), $file->steps) ? [] : [
                    ContentFault::at($file->file, 1, 'version_taken', [
                        'code' => Given::text($row['code']), 'version' => Given::whole($row['version']),
                    ]),
                ]);
                $known->update(array_intersect_key($row, ['translations' => 0, 'findings' => 0, 'frame' => 0, 'sources' => 0]));

                return $known;
            }
            $lesson = Lesson::query()->create([
                ...$row, 'own' => $own, 'published_by' => $by?->id, 'published_at' => CarbonImmutable::now(),
            ]);
            LessonPublished::dispatch($lesson->code);

            return $lesson;
        });
    }

    /**
     * As it would be, and kept nowhere.
     *
     * @param  array<string, LessonFile>  $translations  by language
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function drafted(LessonFile $file, array $translations, string $language): Lesson
    {
        $row = $this->row($file, $translations, $language);

        return (new Lesson($row))->setRelation('part', $row['part_id'] === null ? null : Part::query()->find($row['part_id']))
            ->setRelation('boundMachine', null);
    }

    /**
     * @param  array<string, LessonFile>  $translations
     * @return array<string, mixed>
     *
     * @throws FaultyContent
     */
    private function row(LessonFile $file, array $translations, string $language): array
    {
        array_map($file->assertSays(...), array_values($translations));
        $front = $file->front;
        $part = isset($front['part']) ? Part::query()->where('slug', $front['part'])->first() : null;
        FaultyContent::unless(match (true) {
            isset($front['part']) && $part === null => [
                ContentFault::at($file->file, 1, 'no_part', ['part' => Given::text($front['part'])]),
            ],
            isset($front['hole']) && $part !== null && ! $part->hasHole(Given::text($front['hole'])) => [
                ContentFault::at($file->file, 1, 'no_hole', ['part' => $part->slug, 'hole' => Given::text($front['hole'])]),
            ],
            default => [],
        });

        return [
            'code' => $front['code'], 'version' => $front['version'], 'title' => $front['title'], 'place' => $front['place'],
            'minutes' => $front['minutes'], 'tools' => Given::texts($front['tools'] ?? null), 'hole' => $front['hole'] ?? null,
            'accepted_from' => $front['accepted_from'] ?? $front['version'],
            'part_id' => $part?->id, 'plan' => $front['plan'] ?? null,
            'machine_kind' => $front['machine'] ?? null, 'findings' => Given::texts($front['findings'] ?? null),
            'steps' => $file->steps, 'frame' => LessonFrame::of($front),
            'translations' => array_map(static fn (LessonFile $said): array => [
                'title' => $said->front['title'], 'place' => $said->front['place'], 'tools' => Given::texts($said->front['tools'] ?? null),
                'frame' => LessonFrame::of($said->front),
                // Found again by key and id, as every translation is.
                'steps' => array_map(static fn (array $step): array => [
                    ...array_diff_key($step, ['drawing' => 0]),
                    'choice' => $step['choice'] === null ? null : array_column($step['choice'], null, 'id'),
                ], array_column($said->steps, null, 'key')),
            ], $translations),
            'sources' => [
                'language' => $language,
                'texts' => [$language => $file->text, ...array_map(static fn (LessonFile $said): string => $said->text, $translations)],
            ],
        ];
    }
}
