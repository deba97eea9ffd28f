<?php

declare(strict_types=1);

namespace App\People\Http\Requests;

use App\People\User;
use App\Support\Refusal;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    private const ATTEMPTS = 5;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:255'], 'password' => ['required', 'string', 'max:255']];
    }

    /**
     * @throws Refusal after too many attempts
     * @throws ValidationException when address and password do not belong together
     */
    public function authenticate(): User
    {
        $key = 'sign-in:'.mb_strtolower($this->string('email')->value()).'|'.$this->ip();
        if (RateLimiter::tooManyAttempts($key, self::ATTEMPTS)) {
            throw Refusal::tooMany(
                'sign_in_locked',
                sprintf('Too many attempts. Try again in %d seconds, or have your password reset by mail.', RateLimiter::availableIn($key)),
            );
        }
        if (! Auth::attempt([...$this->validated(), 'active' => true])) {
            RateLimiter::hit($key, 60);
            throw ValidationException::withMessages([
                'email' => 'No active account has this address and password. Check both, or have the password reset by mail.',
            ]);
        }
        RateLimiter::clear($key);
        /** @var User $user */
        $user = Auth::user();

        return $user;
    }
}
