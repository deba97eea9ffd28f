<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Http\Requests\SignInRequest;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

final class SessionController
{
    public function store(SignInRequest $request): PersonResource
    {
        $user = $request->authenticate();
        $request->session()->regenerate();

        return new PersonResource($user);
    }

    public function destroy(Request $request, #[CurrentUser] User $user): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
