<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Language\Speech;
use App\People\OwnPassword;
use App\People\Pin;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class PinController
{
    /** The owner sets or changes their PIN; their password is asked again, so that a tablet left open does not do. */
    public function update(Request $request, Pin $pin, OwnPassword $password, #[CurrentUser] User $user): Response
    {
        /** @var array{password: string, pin: string} $given */
        $given = $request->validate([
            'password' => ['required', 'string', 'max:255'],
            'pin' => ['required', 'string', 'regex:/^\d{4,12}$/', 'not_regex:/^(\d)\1+$/', 'not_in:1234,12345,123456'],
        ], [
            'pin.regex' => Speech::say('fault.pin.digits'),
            'pin.not_regex' => Speech::say('fault.pin.same_digit'),
            'pin.not_in' => Speech::say('fault.pin.in_a_row'),
        ]);
        $password->check($user, $given['password']);
        $pin->change($user, $given['pin']);

        return response()->noContent();
    }
}
