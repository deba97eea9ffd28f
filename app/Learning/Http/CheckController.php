<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\Check;
use App\Learning\CheckAttempt;
use App\Learning\HandInCheck;
use App\Learning\StartCheck;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use MillStep\Core\Learning\Check\PaperLine;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

final class CheckController
{
    public function start(Request $request, string $code, StartCheck $start, #[CurrentUser] User $user): CheckAttemptResource
    {
        abort_unless($user->learns(), 403);
        $request->validate(['id' => ['required', 'uuid']]);

        return new CheckAttemptResource($start($user, Check::current($code), $request->string('id')->value()));
    }

    public function show(CheckAttempt $attempt): CheckAttemptResource
    {
        Gate::authorize('view-record', $attempt->learner);

        return new CheckAttemptResource($attempt);
    }

    /** The same check on paper, a paper of their own for each. */
    public function onPaper(Request $request, string $code, StartCheck $start, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{papers: list<array{id: string, learner_id: int}>} $given */
        $given = $request->validate([
            'papers' => ['required', 'array', 'list', 'min:1', 'max:60'],
            'papers.*.id' => ['required', 'uuid', 'distinct'],
            'papers.*.learner_id' => ['required', 'integer', 'distinct', 'between:1,9007199254740991'],
        ]);
        $check = Check::current($code);
        $learners = User::learners()->whereIn('id', array_column($given['papers'], 'learner_id'))->get()->keyBy('id');
        foreach ($given['papers'] as $paper) {
            Gate::authorize('teach-learner', $learners->get($paper['learner_id']) ?? abort(404));
        }

        return new JsonResponse(['papers' => DB::transaction(fn (): array => array_map(
            static fn (array $paper): string => $start($learners[$paper['learner_id']], $check, $paper['id'], $user)->id,
            $given['papers'],
        ))]);
    }

    /** What is right on a paper, for whoever corrects it. */
    public function key(CheckAttempt $attempt, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('teach-learner', $attempt->learner);

        return new JsonResponse(['lines' => array_map(
            static fn (DrawnQuestion $question): array => PaperLine::of($question, $question->rightAnswer(), $user->units)->toArray(),
            $attempt->paper()->questions,
        )]);
    }

    /** A paper that was given out and came back empty, or not at all. */
    public function putAway(CheckAttempt $attempt): Response
    {
        Gate::authorize('teach-learner', $attempt->learner);
        CheckAttempt::query()->whereKey($attempt->id)->whereNotNull('paper_by')->whereNull('submitted_at')->delete();

        return response()->noContent();
    }

    public function handIn(Request $request, CheckAttempt $attempt, HandInCheck $handIn, #[CurrentUser] User $user): CheckAttemptResource
    {
        $own = $attempt->learner_id === $user->id;
        abort_unless($own || Gate::allows('teach-learner', $attempt->learner), 403);
        /** @var array{answers: array<string, list<string>>, units?: 'mm'|'in'|null} $given */
        $given = $request->validate([
            'answers' => ['present', 'array', 'max:50'],
            'answers.*' => ['array', 'max:20'],
            'answers.*.*' => ['string', 'max:60'],
            'units' => ['nullable', 'in:mm,in'],
        ]);

        return new CheckAttemptResource(
            $handIn($attempt, $given['answers'], $given['units'] ?? ($own ? null : $user->units), typist: $own ? null : $user),
        );
    }
}
