<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\ConfirmClock;
use App\People\User;
use App\Support\DatabaseClock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class ClockController
{
    public function show(): JsonResponse
    {
        // The gate's clock, not that of whoever looks: this is what they say is right.
        return new JsonResponse([
            'set_back' => ConfirmClock::isWanted(),
            'now' => DatabaseClock::now()->toIso8601ZuluString(),
            'latest' => ConfirmClock::latest()?->toIso8601ZuluString(),
        ]);
    }

    public function confirm(Request $request, ConfirmClock $confirm, #[CurrentUser] User $user): Response
    {
        $request->validate(['id' => ['required', 'uuid'], 'pin' => ['required', 'string', 'max:20']]);
        $confirm($user, $request->string('pin')->value(), $request->string('id')->value());

        return response()->noContent();
    }
}
