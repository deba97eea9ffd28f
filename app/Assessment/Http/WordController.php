<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\SheetAttempt;
use App\Assessment\Word\AnswerAppeal;
use App\Assessment\Word\AnswerOutcome;
use App\Assessment\Word\AppealOutcome;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use MillStep\Core\Assessment\AppealAnswer;

/** What is said of an outcome: by the learner, on their own page or at the assessor's tablet, and by another assessor. */
final class WordController
{
    private const WORDS = ['nullable', 'string', 'max:600'];

    public function answer(
        Request $request,
        SheetAttempt $attempt,
        AnswerOutcome $answer,
        #[CurrentUser] User $user,
    ): SheetAttemptResource {
        self::mayBeThere($attempt, $user);
        $request->validate(['id' => ['required', 'uuid'], 'agrees' => ['required', 'boolean'], 'words' => self::WORDS]);

        return new SheetAttemptResource($answer(
            $attempt, $user, $request->string('id')->value(), $request->boolean('agrees'), $request->string('words')->value(),
        ));
    }

    public function appeal(
        Request $request,
        SheetAttempt $attempt,
        AppealOutcome $appeal,
        #[CurrentUser] User $user,
    ): SheetAttemptResource {
        self::mayBeThere($attempt, $user);
        $request->validate(['id' => ['required', 'uuid'], 'words' => self::WORDS]);

        return new SheetAttemptResource($appeal(
            $attempt, $user, $request->string('id')->value(), $request->string('words')->value(),
        ));
    }

    public function answerAppeal(
        Request $request,
        SheetAttempt $attempt,
        AnswerAppeal $answer,
        #[CurrentUser] User $user,
    ): SheetAttemptResource {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate([
            'id' => ['required', 'uuid'], 'answer' => ['required', new Enum(AppealAnswer::class)], 'words' => self::WORDS,
        ]);

        return new SheetAttemptResource($answer(
            $attempt,
            $user,
            $request->string('id')->value(),
            AppealAnswer::from($request->string('answer')->value()),
            $request->string('words')->value(),
        ));
    }

    private static function mayBeThere(SheetAttempt $attempt, User $user): void
    {
        $attempt->learner->is($user) || Gate::authorize('teach-learner', $attempt->learner);
    }
}
