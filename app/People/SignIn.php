<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Speech;
use App\Support\Refusal;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/**
 * Address and password. Wrong ones are counted for the account from that address, and for the address over all
 * accounts; an account that is not there takes as long as one that is.
 */
final class SignIn
{
    /** Wrong passwords for one account from one address, a minute. */
    private const PER_ACCOUNT = 5;

    /** Wrong passwords from one address for whatever accounts, in a quarter of an hour. */
    private const PER_ADDRESS = 40;

    /** Nobody's: checked where there is no account, with the same work as a real one. */
    private const NOBODYS = '$2y$12$ljFAMlTvS4Bg/0mHtxJS/.CvRaoeQAXX9rELbWJObLkrD3ZQ0tiv6';

    /**
     * @throws Refusal `sign_in_locked` after too many attempts
     * @throws ValidationException when address and password do not belong together
     */
    public function check(string $email, #[\SensitiveParameter] string $password, string $from): User
    {
        $account = 'sign-in:'.mb_strtolower($email).'|'.$from;
        $address = 'sign-in-from:'.$from;
        // Counted before it is looked at, so that many at once are as many.
        $tries = RateLimiter::hit($account, 60);
        if ($tries > self::PER_ACCOUNT || RateLimiter::tooManyAttempts($address, self::PER_ADDRESS)) {
            throw Refusal::tooMany('sign_in_locked', [
                'seconds' => max(1, $tries > self::PER_ACCOUNT ? RateLimiter::availableIn($account) : RateLimiter::availableIn($address)),
            ]);
        }
        $user = User::query()->where('email', User::address($email))->where('active', true)->first();
        $right = Hash::check($password, $user->password ?? self::NOBODYS);
        if (! $right || $user?->password === null) {
            RateLimiter::hit($address, 900);
            throw Speech::fault('email', 'no_such_account');
        }
        RateLimiter::clear($account);
        if (Hash::needsRehash($user->password)) {
            $user->forceFill(['password' => $password])->save();
        }

        return $user;
    }
}
