<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\People\User;
use App\Practice\DecideOnPractice;
use App\Practice\Entry;
use App\Practice\Http\Requests\EntryRequest;
use App\Practice\LogPractice;
use App\Practice\WithdrawPractice;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

final class EntryController
{
    public function index(User $learner): AnonymousResourceCollection
    {
        return EntryResource::collection(
            Entry::query()
                ->with(['machine', 'permit', 'decider'])
                ->where('learner_id', $learner->id)
                ->orderByDesc('done_on')
                ->orderByDesc('id')
                ->limit(200)
                ->get(),
        );
    }

    public function store(EntryRequest $request, LogPractice $log, #[CurrentUser] User $user): JsonResponse
    {
        $machine = Machine::query()->where('slug', $request->string('machine')->value())->firstOrFail();

        $entry = $log($user, $machine, $request->entry())->load(['machine', 'permit', 'decider']);

        return (new EntryResource($entry))->response()->setStatusCode(201);
    }

    /** Taken back twice, it is gone once. */
    public function destroy(string $entry, WithdrawPractice $withdraw, #[CurrentUser] User $user): Response
    {
        $known = Str::isUuid($entry) ? Entry::query()->find($entry) : null;
        abort_if($known !== null && $known->learner_id !== $user->id, 404);
        $known === null || $withdraw($known);

        return response()->noContent();
    }

    public function decide(Request $request, Entry $entry, DecideOnPractice $decide, #[CurrentUser] User $user): EntryResource
    {
        Gate::authorize('teach-learner', $entry->learner);
        /** @var array{reason?: string|null} $given */
        $given = $request->validate([
            'confirm' => ['required', 'boolean'],
            'reason' => ['required_if:confirm,false', 'nullable', 'string', 'max:300'],
        ]);

        return new EntryResource(
            $decide($entry, $user, $request->boolean('confirm'), $given['reason'] ?? null)->load(['machine', 'permit', 'decider']),
        );
    }
}
