<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\AnswerTasks;
use App\Assessment\ConcludeAssessment;
use App\Assessment\Mark;
use App\Assessment\OpenSheet;
use App\Assessment\PutSheetAway;
use App\Assessment\Seat;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Language\Speech;
use App\People\Role;
use App\People\User;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use MillStep\Core\Assessment\PutAwayBecause;

final class SheetController
{
    /** The open sheets that this instructor opened or has marked, to go from one learner to the next. */
    public function mine(#[CurrentUser] User $user): JsonResponse
    {
        return response()->json(SheetAttempt::stillOpen()->with(['learner', 'sheet'])
            ->where(static fn ($mine) => $mine->where('assessor_id', $user->id)
                ->orWhereIn('id', Mark::query()->where('by_id', $user->id)->where('seat', Seat::Assessor)->select('attempt_id')))
            ->whereIn('learner_id', $user->reached()->select('id'))->orderBy('started_at')->limit(30)->get()
            ->map(static fn (SheetAttempt $attempt): array => [
                'id' => $attempt->id,
                'learner' => $attempt->learner->name,
                'sheet' => $attempt->sheet->title,
                'started_at' => $attempt->started_at->toIso8601ZuluString(),
                'stopped' => $attempt->stopped_at !== null,
            ]));
    }

    public function open(Request $request, OpenSheet $open, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate([
            'id' => ['required', 'uuid'],
            'sheet' => ['required', 'string', 'exists:assessment_sheets,code'],
            'learner_id' => ['required', 'integer', 'between:1,9007199254740991'],
            'variant' => ['nullable', 'string', 'max:60'],
            'machine' => ['nullable', 'string', 'exists:workshop_machines,slug'],
        ]);
        $learner = User::query()->where('role', Role::Learner)->findOrFail($request->integer('learner_id'));
        Gate::authorize('teach-learner', $learner);
        $attempt = $open(
            Sheet::current($request->string('sheet')->value()),
            $learner,
            $user,
            $request->string('id')->value(),
            variant: $request->filled('variant') ? $request->string('variant')->value() : null,
            machine: $request->filled('machine')
                ? Machine::query()->where('slug', $request->string('machine')->value())->firstOrFail() : null,
        );

        return (new SheetAttemptResource(SheetAttempt::withSheet()->findOrFail($attempt->id)))->response()->setStatusCode(201);
    }

    /** What a sheet may be done on and where, before it is opened for a learner. */
    public function opening(Request $request, string $code, User $learner, OpeningShown $shown): JsonResponse
    {
        Gate::authorize('teach-learner', $learner);

        return new JsonResponse($shown->of(Sheet::current($code), $learner, Speech::of($request)));
    }

    public function show(SheetAttempt $attempt): SheetAttemptResource
    {
        Gate::authorize('view-record', $attempt->learner);

        return new SheetAttemptResource($attempt->load(SheetAttempt::SHOWN));
    }

    public function task(
        Request $request,
        SheetAttempt $attempt,
        string $task,
        AnswerTasks $answer,
        #[CurrentUser] User $user,
    ): SheetAttemptResource {
        $attempt->learner->is($user) || Gate::authorize('teach-learner', $attempt->learner);
        /** @var array{answer?: string|null, units?: 'mm'|'in'|null} $given */
        $given = $request->validate(['answer' => ['nullable', 'string', 'max:20'], 'units' => ['nullable', 'in:mm,in']]);

        return new SheetAttemptResource($answer($attempt, $task, $given['answer'] ?? '', $given['units'] ?? $user->units));
    }

    public function conclude(SheetAttempt $attempt, ConcludeAssessment $conclude, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);

        return new SheetAttemptResource($conclude($attempt, $user));
    }

    public function cancel(Request $request, SheetAttempt $attempt, PutSheetAway $putAway, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate([
            'because' => ['required', new Enum(PutAwayBecause::class)],
            'words' => ['nullable', 'string', 'max:300'],
        ]);

        return new SheetAttemptResource($putAway(
            $attempt,
            $user,
            PutAwayBecause::from($request->string('because')->value()),
            $request->string('words')->value(),
        ));
    }
}
