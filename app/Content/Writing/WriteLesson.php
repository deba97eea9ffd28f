<?php

declare(strict_types=1);

namespace App\Content\Writing;

use App\Learning\Lesson;
use App\Learning\PublishLesson;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Refusal;
use App\Support\SameContent;
use Illuminate\Support\Facades\DB;

/** Publishes what was written in the browser as the next version of a lesson, or as a new one. Sent twice, it is one. */
final class WriteLesson
{
    public function __construct(private readonly LessonTexts $texts, private readonly PublishLesson $publish)
    {
    }

    /**
     * @param  array<string, string>  $texts  by language; the first is the original
     * @param  int  $basedOn  the version that it was written from; 0 for a new lesson
     *
     * @throws FaultyContent with every fault, its file and line
     * @throws Refusal `lesson_moved_on` when somebody published meanwhile
     */
    public function __invoke(string $code, array $texts, int $basedOn, User $by): Lesson
    {
        return DB::transaction(function () use ($code, $texts, $basedOn, $by): Lesson {
            DB::select('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["lesson:$code"]);
            $latest = Lesson::query()->where('code', $code)->latest('version')->first();
            if ($latest !== null && $latest->version === $basedOn + 1 && SameContent::is($latest->sources['texts'] ?? [], $texts)) {
                return $latest;
            }
            if (($latest->version ?? 0) !== $basedOn) {
                throw Refusal::because('lesson_moved_on', ['code' => $code, 'version' => $latest->version ?? 0]);
            }
            $read = $this->texts->read($code, $texts);
            FaultyContent::unless(self::misnumbered($code, $basedOn + 1, $read['file']->front, $read['language']));
            $lesson = ($this->publish)($read['file'], $read['translations'], $read['language'], $by, true);
            // Written anew, it is taught again.
            Lesson::query()->where('code', $code)->update(['retired_at' => null]);

            return $lesson;
        });
    }

    /**
     * @param  array<string, mixed>  $front
     * @return list<ContentFault>
     */
    private static function misnumbered(string $code, int $version, array $front, string $language): array
    {
        $file = LessonTexts::fileOf($code, $language);
        $accepted = $front['accepted_from'] ?? $version;

        return [
            ...$front['code'] === $code ? [] : [ContentFault::at($file, 2, 'code_differs', ['code' => $code])],
            ...$front['version'] === $version ? [] : [ContentFault::at($file, 2, 'version_next', ['version' => $version])],
            ...is_int($accepted) && $accepted >= 1 && $accepted <= $version ? [] : [
                ContentFault::at($file, 2, 'accepted_from', ['version' => $version]),
            ],
        ];
    }
}
