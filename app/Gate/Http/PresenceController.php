<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Presence;
use App\People\User;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PresenceController
{
    /** On the floor, or off it. Supervised use stands and falls with it. */
    public function update(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['present' => ['required', 'boolean']]);
        $until = $request->boolean('present') ? CarbonImmutable::now()->addMinutes(Policy::inForce()->presenceMinutes) : CarbonImmutable::now();
        Presence::query()->updateOrCreate(['user_id' => $user->id], ['until' => $until]);

        return new JsonResponse(['on_floor_until' => $request->boolean('present') ? $until->toIso8601ZuluString() : null]);
    }
}
