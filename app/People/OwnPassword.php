<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Speech;
use App\Support\Refusal;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** The password of whoever is signed in, asked again for what a tablet left open must not do. Counted before it is looked at. */
final class OwnPassword
{
    private const TRIES = 5;

    /**
     * @throws Refusal `password_locked`
     * @throws ValidationException
     */
    public function check(User $user, #[\SensitiveParameter] string $password): void
    {
        $key = "own-password:{$user->id}";
        if (RateLimiter::hit($key, 300) > self::TRIES) {
            throw Refusal::tooMany('password_locked', ['seconds' => RateLimiter::availableIn($key)]);
        }
        if ($user->password === null || ! Hash::check($password, $user->password)) {
            throw Speech::fault('password', 'not_your_password');
        }
        RateLimiter::clear($key);
    }
}
