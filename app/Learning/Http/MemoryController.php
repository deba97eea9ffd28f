<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\Memory\AnswerAgain;
use App\Learning\Memory\AskAgain;
use App\Learning\Memory\Recall;
use App\Learning\Memory\Remembering;
use App\Learning\Memory\WarmUp;
use App\People\Cohort;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/** Keeping what was learned: a few questions a day, what is fading, and a class's warm-up. */
final class MemoryController
{
    public function ask(AskAgain $ask, #[CurrentUser] User $user): JsonResponse
    {
        abort_unless($user->learns(), 403);

        return new JsonResponse(['questions' => $ask($user)->map(self::shown(...))->all()]);
    }

    public function answer(Request $request, Recall $recall, AnswerAgain $answer, #[CurrentUser] User $user): JsonResponse
    {
        abort_unless($recall->learner_id === $user->id, 403);
        /** @var array{answer: list<string>, units?: 'mm'|'in'|null} $given */
        $given = $request->validate([
            'answer' => ['present', 'array', 'list', 'max:20'],
            'answer.*' => ['string', 'max:60'],
            'units' => ['nullable', 'in:mm,in'],
        ]);

        return new JsonResponse(self::shown($answer($recall, $given['answer'], $given['units'] ?? null)));
    }

    public function fading(User $learner, Remembering $remembering): JsonResponse
    {
        $remembered = $remembering->of(new Collection([$learner]), CarbonImmutable::now())[$learner->id];

        return new JsonResponse(['lessons' => Remembering::byLesson($remembered)]);
    }

    public function warmUp(Request $request, Cohort $cohort, WarmUp $warmUp): JsonResponse
    {
        Gate::authorize('teach-cohort', $cohort);
        $request->validate(['seed' => ['required', 'integer', 'between:1,2000000000']]);

        return new JsonResponse(['cohort' => $cohort->name, ...$warmUp->of($cohort, $request->integer('seed'))]);
    }

    /** @return array<string, mixed> */
    private static function shown(Recall $recall): array
    {
        return [
            'id' => $recall->id,
            'question' => $recall->drawn()->forLearner(),
            'answer' => $recall->answer,
            'line' => $recall->line === null ? null : [...$recall->line, 'values' => (object) ($recall->line['values'] ?? [])],
        ];
    }
}
