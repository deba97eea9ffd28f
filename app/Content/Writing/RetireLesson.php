<?php

declare(strict_types=1);

namespace App\Content\Writing;

use App\Competency\Permit;
use App\Learning\Events\LessonPublished;
use App\Learning\Lesson;
use App\Support\PowerLock;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a lesson out of use, or back into it. What was learned with it stays in the record. */
final class RetireLesson
{
    /** @throws Refusal `lesson_asked_for` while a permit asks for it */
    public function __invoke(string $code, bool $retired): void
    {
        DB::transaction(function () use ($code, $retired): void {
            PowerLock::forRestriction();
            $asking = self::permits($code);
            if ($retired && $asking !== []) {
                throw Refusal::because('lesson_asked_for', ['code' => $code, 'permits' => implode(', ', array_column($asking, 'title'))]);
            }
            $lessons = Lesson::query()->where('code', $code);
            $changed = $retired ? $lessons->whereNull('retired_at') : $lessons->whereNotNull('retired_at');
            if ($changed->update(['retired_at' => $retired ? CarbonImmutable::now() : null]) > 0) {
                LessonPublished::dispatch($code);
            }
        });
    }

    /** @return list<array{code: string, title: string}> that ask for a lesson */
    public static function permits(string $code): array
    {
        return array_values(Permit::query()->orderBy('code')->get()->filter(static fn (Permit $permit): bool => in_array($code, [
            ...$permit->requirement['lessons'], ...$permit->requirement['guided'] ?? [],
        ], true))->map(static fn (Permit $permit): array => ['code' => $permit->code, 'title' => $permit->name])->all());
    }
}
