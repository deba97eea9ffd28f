<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\AnswerStep;
use App\Learning\DisownLook;
use App\Learning\HoldPoint;
use App\Learning\KeepNotes;
use App\Learning\Lesson;
use App\Learning\OpenByPin;
use App\Learning\OpenLesson;
use App\Learning\Progress;
use App\People\User;
use App\Support\Given;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

final class LessonController
{
    /** Learners get their own progress with it; whoever teaches reads the lesson as it stands. */
    public function show(string $code, OpenLesson $open, #[CurrentUser] User $user): LessonResource
    {
        $lesson = Lesson::current($code);

        $progress = $user->learns() ? $open($user, $lesson) : null;

        return new LessonResource($progress->lesson ?? $lesson, $progress);
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

    public function notes(Request $request, Progress $progress, KeepNotes $keep, #[CurrentUser] User $user): Response
    {
        abort_unless($progress->learner_id === $user->id, 403);
        $text = ['present', 'nullable', 'string', 'max:4000'];
        $given = $request->validate(['notes' => $text, 'was' => $text]);
        $keep($progress, Given::text($given['notes'] ?? ''), Given::text($given['was'] ?? ''));

        return response()->noContent();
    }

    /** Who may open it on this learner's own device. */
    public function openers(HoldPoint $hold, OpenByPin $open, #[CurrentUser] User $user): JsonResponse
    {
        abort_unless($hold->progress->learner_id === $user->id, 404);

        return new JsonResponse(array_map(
            static fn (User $each): array => ['id' => $each->id, 'name' => $each->name],
            array_values($open->openers($hold)->all()),
        ));
    }

    public function openHere(Request $request, HoldPoint $hold, OpenByPin $open, #[CurrentUser] User $user): Response
    {
        abort_unless($hold->progress->learner_id === $user->id, 404);
        /** @var array{by: int, pin: string} $given */
        $given = $request->validate([
            'by' => ['required', 'integer', 'between:1,9007199254740991'], 'pin' => ['required', 'string', 'max:20'],
        ]);
        $open($hold, $given['by'], $given['pin'], $request->ip().' '.$request->userAgent());

        return response()->noContent();
    }

    /** Looks of the last day that were opened on a learner's device by one's PIN. */
    public function looksHere(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(array_values(HoldPoint::openedHereBy($user)->with(['progress.lesson', 'progress.learner'])
            ->whereNull('disowned_at')->orderByDesc('opened_at')->limit(200)->get()
            ->map(static fn (HoldPoint $hold): array => [
                'id' => $hold->id, 'learner' => $hold->progress->learner->name,
                'lesson' => "{$hold->progress->lesson->code} {$hold->progress->lesson->title}",
                'at' => $hold->opened_at?->toIso8601ZuluString(),
            ])->all()));
    }

    public function disown(HoldPoint $hold, DisownLook $disown, #[CurrentUser] User $user): Response
    {
        $disown($hold, $user);

        return response()->noContent();
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
