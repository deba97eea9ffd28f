<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\MachineSession;
use App\People\User;
use App\Practice\Entry;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Turns at the gate that a learner had lately and has not written into the logbook: machine and minutes are known already. */
final class OwnTurnsController
{
    private const DAYS = 14;

    private const MINUTES = 5;

    public function __invoke(#[CurrentUser] User $user): JsonResponse
    {
        $turns = MachineSession::query()->with('machine')->where('user_id', $user->id)->whereNotNull('ended_at')
            ->where('ended_at', '>', CarbonImmutable::now()->subDays(self::DAYS))
            ->orderByDesc('ended_at')->limit(30)->get();
        $logged = Entry::query()->where('learner_id', $user->id)->whereNotNull('turn_id')->pluck('turn_id')->all();

        $rows = $turns->whereNotIn('id', $logged)->map(static fn (MachineSession $turn): array => [
            'id' => $turn->id,
            'machine' => ['slug' => $turn->machine->slug, 'name' => $turn->machine->name],
            'minutes' => (int) round($turn->started_at->diffInSeconds($turn->ended_at ?? $turn->started_at) / 60),
            'ended_at' => $turn->ended_at?->toIso8601ZuluString(),
        ])->all();

        return new JsonResponse(array_values(array_filter($rows, static fn (array $turn): bool => $turn['minutes'] >= self::MINUTES)));
    }
}
