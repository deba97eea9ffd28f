<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Speech;
use App\Policy\ShopNow;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** The second thing that somebody who signs for others has, beside their password: a code from their phone, or one kept on paper. */
final class SecondFactor
{
    private const TRIES = 5;

    private const RECOVERY_CODES = 10;

    public function __construct(private readonly Totp $totp)
    {
    }

    /** Required of whoever signs for others where the shop's policy says so. */
    public static function isWantedOf(User $user): bool
    {
        return $user->totp_confirmed_at === null && $user->teaches() && app(ShopNow::class)->policy()->secondFactorRequired;
    }

    /** A secret to be put into a phone; nothing is asked for until a code from it was given. */
    public function prepare(User $user): string
    {
        if ($user->totp_confirmed_at !== null) {
            throw Refusal::because('second_factor_on');
        }
        $secret = Totp::secret();
        $user->forceFill(['totp_secret' => $secret, 'totp_used_step' => null])->save();

        return $secret;
    }

    /**
     * @return list<string> codes that work once each, shown this once
     *
     * @throws Refusal|ValidationException when the code is not of the secret that was prepared
     */
    public function confirm(User $user, #[\SensitiveParameter] string $code): array
    {
        if ($user->totp_secret === null || $user->totp_confirmed_at !== null) {
            throw Refusal::because('second_factor_not_prepared');
        }
        $this->spend($user, $code, false);
        $codes = [];
        for ($i = 0; $i < self::RECOVERY_CODES; $i++) {
            $codes[] = implode('-', str_split(strtolower(substr(Totp::secret(), 0, 12)), 4));
        }
        DB::transaction(static function () use ($user, $codes): void {
            DB::table('people_recovery_codes')->where('user_id', $user->id)->delete();
            DB::table('people_recovery_codes')->insert(
                array_map(static fn (string $each): array => ['user_id' => $user->id, 'code_hash' => self::hash($each)], $codes),
            );
            $user->forceFill(['totp_confirmed_at' => CarbonImmutable::now()])->save();
        });

        return $codes;
    }

    /** Also by the shop lead, for somebody who lost their phone and their paper. */
    public function takeAway(User $user): void
    {
        DB::transaction(static function () use ($user): void {
            DB::table('people_recovery_codes')->where('user_id', $user->id)->delete();
            $user->forceFill(['totp_secret' => null, 'totp_confirmed_at' => null, 'totp_used_step' => null])->save();
        });
    }

    /**
     * Uses a code up. The try is counted before it is looked at, and two at once cannot both use it.
     *
     * @throws Refusal `second_factor_locked`
     * @throws ValidationException when it is not right, or was used
     */
    public function spend(User $user, #[\SensitiveParameter] string $code, bool $orRecovery = true): void
    {
        $key = "second-factor:{$user->id}";
        if (RateLimiter::hit($key, 300) > self::TRIES) {
            throw Refusal::tooMany('second_factor_locked', ['seconds' => RateLimiter::availableIn($key)]);
        }
        $given = (string) preg_replace('/\s+/', '', $code);
        $step = preg_match('/^\d{6}$/', $given) === 1 && $user->totp_secret !== null
            ? $this->totp->stepOf($given, $user->totp_secret, CarbonImmutable::now()->getTimestamp(), $user->totp_used_step)
            : null;
        $spent = $step !== null
            ? User::query()->whereKey($user->id)->where(
                static fn ($any) => $any->whereNull('totp_used_step')->orWhere('totp_used_step', '<', $step),
            )->update(['totp_used_step' => $step])
            : ($orRecovery ? self::spendRecoveryCode($user, $given) : 0);
        if ($spent !== 1) {
            throw Speech::fault('code', 'code_wrong');
        }
        RateLimiter::clear($key);
    }

    private static function spendRecoveryCode(User $user, #[\SensitiveParameter] string $code): int
    {
        return DB::table('people_recovery_codes')
            ->where('user_id', $user->id)
            ->where('code_hash', self::hash($code))
            ->whereNull('used_at')
            ->update(['used_at' => CarbonImmutable::now()]);
    }

    public static function recoveryCodesLeft(User $user): int
    {
        return DB::table('people_recovery_codes')->where('user_id', $user->id)->whereNull('used_at')->count();
    }

    private static function hash(#[\SensitiveParameter] string $code): string
    {
        return hash_hmac('sha256', strtolower(str_replace('-', '', $code)), Config::string('app.key'));
    }
}
