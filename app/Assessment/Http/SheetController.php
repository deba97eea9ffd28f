<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\CancelSheet;
use App\Assessment\ConcludeAssessment;
use App\Assessment\MarkCriterion;
use App\Assessment\OpenSheet;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\People\Role;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class SheetController
{
    public function open(Request $request, OpenSheet $open, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate([
            'id' => ['required', 'uuid'],
            'sheet' => ['required', 'string', 'exists:assessment_sheets,code'],
            'learner_id' => ['required', 'integer', 'between:1,9007199254740991'],
        ]);
        $learner = User::query()->where('role', Role::Learner)->findOrFail($request->integer('learner_id'));
        Gate::authorize('teach-learner', $learner);
        $attempt = $open(
            Sheet::current($request->string('sheet')->value()),
            $learner,
            $user,
            $request->string('id')->value(),
        );

        return (new SheetAttemptResource($attempt->load(SheetAttempt::SHOWN)))
            ->response()
            ->setStatusCode(201);
    }

    public function show(SheetAttempt $attempt): SheetAttemptResource
    {
        Gate::authorize('view-record', $attempt->learner);

        return new SheetAttemptResource($attempt->load(SheetAttempt::SHOWN));
    }

    public function mark(
        Request $request,
        SheetAttempt $attempt,
        string $criterion,
        MarkCriterion $mark,
        #[CurrentUser] User $user,
    ): SheetAttemptResource {
        Gate::authorize('teach-learner', $attempt->learner);
        /** @var array{result?: string|int|null, value?: string|null, dx?: string|null, dy?: string|null, units?: 'mm'|'in'|null} $given */
        $given = $request->validate([
            'result' => ['nullable', 'in:met,prompted,not_met,not_seen'],
            'value' => ['nullable', 'string', 'max:20'],
            'dx' => ['nullable', 'string', 'max:20'],
            'dy' => ['nullable', 'string', 'max:20'],
            'units' => ['nullable', 'in:mm,in'],
        ]);

        return new SheetAttemptResource($mark($attempt, $criterion, $given, $given['units'] ?? $user->units));
    }

    public function conclude(SheetAttempt $attempt, ConcludeAssessment $conclude, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);

        return new SheetAttemptResource($conclude($attempt, $user));
    }

    public function cancel(Request $request, SheetAttempt $attempt, CancelSheet $cancel, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        /** @var array{reason?: string|null} $given */
        $given = $request->validate(['reason' => ['nullable', 'string', 'max:300']]);

        return new SheetAttemptResource($cancel($attempt, $user, $given['reason'] ?? null));
    }
}
