<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Illuminate\Validation\ValidationException;

final class PasswordResetController
{
    /** Answers the same whether the address is known or not. */
    public function store(Request $request): Response
    {
        Password::sendResetLink($request->validate(['email' => ['required', 'email', 'max:255']]));

        return response()->noContent();
    }

    public function update(Request $request): Response
    {
        $status = Password::reset(
            $request->validate([
                'token' => ['required', 'string'],
                'email' => ['required', 'email'],
                'password' => ['required', 'confirmed', PasswordRule::min(10)],
            ]) + ['password_confirmation' => $request->input('password_confirmation')],
            fn (User $user, string $password) => $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save(),
        );

        return $status === Password::PASSWORD_RESET ? response()->noContent()
            : throw ValidationException::withMessages(['token' => 'This link has been used or is over an hour old. Ask for a new one.']);
    }
}
