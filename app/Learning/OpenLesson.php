<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;

/** Starts a lesson for a learner, or finds where they left it. */
final class OpenLesson
{
    public function __invoke(User $learner, Lesson $lesson): Progress
    {
        return Progress::query()->createOrFirst(['learner_id' => $learner->id, 'lesson_id' => $lesson->id])
            ->setRelation('lesson', $lesson)->load('holds');
    }
}
