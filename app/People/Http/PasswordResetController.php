<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Language\Speech;
use App\People\GoodPassword;
use App\People\Invite;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class PasswordResetController
{
    /** Answers the same whether the address is known or not. */
    public function store(Request $request): Response
    {
        /** @var array{email: string} $given */
        $given = $request->validate(['email' => ['required', 'string', 'email', 'max:255']]);
        Password::sendResetLink(['email' => User::address($given['email'])]);

        return response()->noContent();
    }

    public function update(Request $request): Response
    {
        /** @var array{token: string, email: string, password: string} $given */
        $given = $request->validate([
            'token' => ['required', 'string', 'max:255'],
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'confirmed', new GoodPassword($request->input('email'))],
        ]);
        $given['email'] = User::address($given['email']);
        // An invitation is a letter of another kind, that may lie for longer; each opens with its own token alone.
        $broker = $request->boolean('invited') ? Invite::BROKER : null;
        $status = Password::broker($broker)->reset([...$given, 'password_confirmation' => $given['password']], static function (User $user,
            string $password): void {
            $fault = (new GoodPassword($user->name, $user->email))->fault($password);
            if ($fault !== null) {
                throw ValidationException::withMessages(['password' => Speech::say($fault)]);
            }
            // Whoever knew the old one is out everywhere.
            DB::transaction(static function () use ($user, $password): void {
                $user->forceFill([
                    'password' => $password, 'remember_token' => Str::random(60), 'joined_at' => $user->joined_at ?? CarbonImmutable::now(),
                ])->save();
                DB::table('people_sessions')->where('user_id', $user->id)->delete();
            });
        });

        return $status === Password::PASSWORD_RESET ? response()->noContent()
            : throw Speech::fault('token', 'link_over');
    }
}
