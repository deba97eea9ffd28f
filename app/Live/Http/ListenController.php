<?php

declare(strict_types=1);

namespace App\Live\Http;

use App\Gate\Device;
use App\Live\Channels;
use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

final class ListenController
{
    /** Asked by nginx before it lets a screen listen to a channel, with the session or the device's token that came with it. */
    public function __invoke(Request $request, Channels $channels, string $channel): Response
    {
        $listener = $request->bearerToken() === null ? Auth::guard('web')->user() : Auth::guard('device')->user();
        $known = $listener instanceof User || $listener instanceof Device ? $listener : null;

        abort_unless($channels->open($known, $channel), 403);

        return response()->noContent();
    }
}
