<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\SetPresence;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PresenceController
{
    public function update(Request $request, SetPresence $presence, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['present' => ['required', 'boolean']]);

        return new JsonResponse(['on_floor_until' => $presence($user, $request->boolean('present'))?->toIso8601ZuluString()]);
    }
}
