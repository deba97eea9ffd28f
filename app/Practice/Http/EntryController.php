<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\People\User;
use App\Practice\ChangePractice;
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
    private const SHOWN = ['machine', 'permit', 'decider', 'plan'];

    public function index(User $learner): AnonymousResourceCollection
    {
        return EntryResource::collection(
            Entry::query()
                ->with(self::SHOWN)
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

        $entry = $log($user, $machine, $request->entry())->load(self::SHOWN);

        return (new EntryResource($entry))->response()->setStatusCode(201);
    }

    /** By its learner, or by whoever teaches them, who says why. */
    public function update(EntryRequest $request, Entry $entry, ChangePractice $change, #[CurrentUser] User $user): EntryResource
    {
        abort_if($user->learns() && $entry->learner_id !== $user->id, 404);
        $user->learns() || Gate::authorize('teach-learner', $entry->learner);
        $machine = Machine::query()->where('slug', $request->string('machine')->value())->firstOrFail();
        $why = $request->filled('why') ? $request->string('why')->value() : null;

        return new EntryResource($change($entry, $user, $machine, $request->entry(), $why)->load(self::SHOWN));
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
            'back' => ['nullable', 'boolean'],
            'reason' => ['required_if:confirm,false', 'nullable', 'string', 'max:300'],
        ]);

        return new EntryResource(
            $decide($entry, $user, $request->boolean('confirm'), $given['reason'] ?? null, back: $request->boolean('back'))
                ->load(self::SHOWN),
        );
    }
}
