<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\AnswerStep;
use App\Learning\HoldPoint;
use App\Learning\Lesson;
use App\Learning\OpenLesson;
use App\Learning\Progress;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

final class LessonController
{
    /** Learners get their own progress with it; whoever teaches reads the lesson as it stands. */
    public function show(string $code, OpenLesson $open, #[CurrentUser] User $user): LessonResource
    {
        $lesson = Lesson::current($code);

        return new LessonResource($lesson, $user->learns() ? $open($user, $lesson) : null);
    }

    public function answer(
        Request $request,
        Progress $progress,
        string $step,
        AnswerStep $answer,
        #[CurrentUser] User $user,
    ): LessonResource {
        abort_unless($progress->learner_id === $user->id, 403);
        /** @var array{value?: string|null, units?: 'mm'|'in'|null} $given */
        $given = $request->validate(['value' => ['nullable', 'string', 'max:40'], 'units' => ['nullable', 'in:mm,in']]);
        $progress = $answer($progress, $step, $given['value'] ?? null, units: $given['units'] ?? null);

        return new LessonResource($progress->lesson, $progress);
    }

    public function sendBack(Request $request, HoldPoint $hold, AnswerStep $answer, #[CurrentUser] User $user): Response
    {
        Gate::authorize('teach-learner', $hold->progress->learner);
        /** @var array{reason: string} $given */
        $given = $request->validate(['reason' => ['required', 'string', 'min:3', 'max:300']]);
        $answer->sendBack($hold, $user->id, $given['reason']);

        return response()->noContent();
    }

    public function open(HoldPoint $hold, AnswerStep $answer, #[CurrentUser] User $user): Response
    {
        Gate::authorize('teach-learner', $hold->progress->learner);
        $answer->open($hold, $user->id);

        return response()->noContent();
    }
}
