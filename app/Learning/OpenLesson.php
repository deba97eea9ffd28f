<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use App\Support\Refusal;

/**
 * Starts a lesson for a learner, or finds where they left it. Whoever is half way through an older version that still counts
 * goes on in that one; one that no longer counts is begun anew.
 */
final class OpenLesson
{
    /** @throws Refusal `lesson_retired` for somebody who never began it */
    public function __invoke(User $learner, Lesson $lesson): Progress
    {
        $begun = Progress::query()->with(['lesson.part', 'lesson.boundMachine.cribs.tools', 'holds'])
            ->where('learner_id', $learner->id)->whereRelation('lesson', 'code', $lesson->code)->get();
        // One that was looked at and not begun is nothing to go on with.
        $there = Progress::goneOnWith($begun->filter(static fn (Progress $each): bool => $each->answers !== []), $lesson);
        if ($there !== null) {
            return $there;
        }
        if ($lesson->retired_at !== null) {
            throw Refusal::because('lesson_retired', ['code' => $lesson->code]);
        }

        return Progress::query()->createOrFirst(['learner_id' => $learner->id, 'lesson_id' => $lesson->id])
            ->setRelation('lesson', $lesson)->load('holds');
    }
}
