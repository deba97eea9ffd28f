<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\People\User;
use App\Policy\Policy;
use App\Practice\DecideOnPractice;
use App\Practice\Entry;
use App\Practice\LogPractice;
use App\Practice\WithdrawPractice;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

final class EntryController
{
    private const DAYS_BACK = 92;

    public function index(User $learner): AnonymousResourceCollection
    {
        return EntryResource::collection(
            Entry::query()
                ->with(['machine', 'decider'])
                ->where('learner_id', $learner->id)
                ->orderByDesc('done_on')
                ->orderByDesc('id')
                ->limit(200)
                ->get(),
        );
    }

    public function store(Request $request, LogPractice $log, #[CurrentUser] User $user): JsonResponse
    {
        abort_unless($user->learns(), 403);
        $today = Policy::inForce()->hours->dateAt(CarbonImmutable::now());
        /** @var array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null, machine: string} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'machine' => ['required', 'string', 'exists:workshop_machines,slug'],
            'exercise' => ['required', 'string', 'min:3', 'max:120'],
            'minutes' => ['required', 'integer', 'between:5,480'],
            // Today is the shop's today.
            'done_on' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d',
                "before_or_equal:$today",
                // Older than a term is nobody's memory of minutes.
                'after_or_equal:'.CarbonImmutable::parse($today)->subDays(self::DAYS_BACK)->format('Y-m-d'),
            ],
            'note' => ['nullable', 'string', 'max:1000'],
        ]);
        $machine = Machine::query()->where('slug', $given['machine'])->firstOrFail();
        unset($given['machine']);

        return (new EntryResource($log($user, $machine, $given)->load(['machine', 'decider'])))->response()->setStatusCode(201);
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
        $given = $request->validate([
            'confirm' => ['required', 'boolean'],
            'reason' => ['required_if:confirm,false', 'nullable', 'string', 'max:300'],
        ]);

        return new EntryResource(
            $decide($entry, $user, $request->boolean('confirm'), $given['reason'] ?? null)->load(['machine', 'decider']),
        );
    }
}
