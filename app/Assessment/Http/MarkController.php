<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Http\Requests\MarkRequest;
use App\Assessment\MarkCriterion;
use App\Assessment\NoteOnSheet;
use App\Assessment\SheetAttempt;
use App\Assessment\UndoMark;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class MarkController
{
    public function store(
        MarkRequest $request,
        SheetAttempt $attempt,
        MarkCriterion $mark,
        #[CurrentUser] User $user,
    ): MarkedResource {
        $given = $request->mark($user);

        return new MarkedResource($mark($attempt, $user, $request->seat(), $given), $given['criterion']);
    }

    public function undo(
        Request $request,
        SheetAttempt $attempt,
        string $mark,
        UndoMark $undo,
        #[CurrentUser] User $user,
    ): MarkedResource {
        $attempt->learner->is($user) || Gate::authorize('teach-learner', $attempt->learner);
        $request->validate(['id' => ['required', 'uuid'], 'made_at' => ['required', 'date']]);

        $undone = $undo(
            $attempt,
            $mark,
            $user,
            $request->string('id')->value(),
            CarbonImmutable::parse($request->string('made_at')->value()),
        );

        return new MarkedResource($undone, $undone->lines->firstWhere('id', $mark)->criterion ?? '');
    }

    public function note(Request $request, SheetAttempt $attempt, NoteOnSheet $note, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate([
            'id' => ['required', 'uuid'],
            'criterion' => ['required', 'string', 'max:80'],
            'text' => ['required', 'string', 'min:2', 'max:1000'],
            'made_at' => ['required', 'date'],
        ]);

        return new SheetAttemptResource($note(
            $attempt,
            $user,
            $request->string('id')->value(),
            $request->string('criterion')->value(),
            $request->string('text')->value(),
            CarbonImmutable::parse($request->string('made_at')->value()),
        ));
    }
}
