<?php

declare(strict_types=1);

namespace App\People;

use App\People\Events\PinChanged;
use App\People\Events\PinReset;
use App\Support\Given;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Re-authentication at the moment of signing. Five wrong PINs lock it for a quarter of an hour, also fifty at once. */
final class Pin
{
    public const FAILURES_ALLOWED = 5;

    private const LOCKED_MINUTES = 15;

    /** One that was begun so long ago and not answered died; fifty at once are fifty tries. */
    private const DIED_AFTER_S = 2;

    /** Nothing tried. */
    private const FRESH = ['pin_failures' => 0, 'pin_locked_until' => null, 'pin_open_guess' => null, 'pin_open_at' => null];

    /**
     * Every try is counted before the PIN is looked at, in one statement, and the count is taken back by the right one:
     * so however many are sent at once, no more than five are looked at. One that was counted and never answered, since the server
     * died, is not counted again when the same is sent a moment later: that tells nobody anything. Outside any transaction of the caller,
     * since a refused signature must not undo the count.
     *
     * @throws Refusal `pin_not_set`, `pin_wrong` or `pin_locked`
     */
    public function confirm(User $user, #[\SensitiveParameter] string $pin): void
    {
        if ($user->pin_hash === null) {
            throw Refusal::forbidden('pin_not_set');
        }
        $guess = substr(hash_hmac('sha256', "$user->id $pin", Config::string('app.key')), 0, 16);
        $tries = $this->countTry($user, $guess);
        if (Hash::check($pin, $user->pin_hash)) {
            User::query()->whereKey($user->id)->update(self::FRESH);

            return;
        }
        // It was looked at and is wrong: the same again is another try.
        User::query()->whereKey($user->id)->where('pin_open_guess', $guess)->update(['pin_open_guess' => null]);
        $left = self::FAILURES_ALLOWED - $tries;
        throw $left > 0
            ? Refusal::forbidden('pin_wrong', ['count' => $left])
            : $this->locked($user);
    }

    /**
     * Whether that is their PIN, counted nowhere: for whoever counts by something else than its owner.
     *
     * @throws Refusal `pin_not_set`
     */
    public function is(User $user, #[\SensitiveParameter] string $pin): bool
    {
        return $user->pin_hash === null ? throw Refusal::forbidden('pin_not_set') : Hash::check($pin, $user->pin_hash);
    }

    /** The owner sets their own, after their password was asked again. */
    public function change(User $user, #[\SensitiveParameter] string $pin): void
    {
        DB::transaction(function () use ($user, $pin): void {
            $user->update(['pin_hash' => $pin, 'pin_set_at' => CarbonImmutable::now(), ...self::FRESH]);
            PinChanged::dispatch($user->id);
        });
    }

    /** The shop lead takes a PIN away; its owner sets a new one. */
    public function reset(User $user): void
    {
        DB::transaction(function () use ($user): void {
            $user->update(['pin_hash' => null, 'pin_set_at' => null, ...self::FRESH]);
            PinReset::dispatch($user->id);
        });
    }

    /**
     * @return int which try this is, from 1
     *
     * @throws Refusal `pin_locked`
     */
    private function countTry(User $user, string $guess): int
    {
        $now = CarbonImmutable::now();
        $died = $now->subSeconds(self::DIED_AFTER_S)->toIso8601ZuluString('millisecond');
        $counted = DB::selectOne(<<<'SQL'
            UPDATE people_users SET
                pin_failures = CASE WHEN pin_locked_until IS NOT NULL THEN 1 WHEN pin_open_guess = ? AND pin_open_at < ? THEN pin_failures
                    ELSE pin_failures + 1 END,
                pin_locked_until = CASE WHEN pin_locked_until IS NULL AND pin_failures + 1 >= ?
                    AND (pin_open_guess IS DISTINCT FROM ? OR pin_open_at >= ?) THEN ?::timestamptz END,
                pin_open_guess = ?, pin_open_at = ?
            WHERE id = ? AND (pin_locked_until IS NULL OR pin_locked_until <= ?)
            RETURNING pin_failures
            SQL, [
            $guess, $died, self::FAILURES_ALLOWED, $guess, $died, $now->addMinutes(self::LOCKED_MINUTES)->toIso8601String(), $guess,
            $now->toIso8601ZuluString('millisecond'), $user->id, $now->toIso8601String(),
        ]);

        return is_object($counted) && isset($counted->pin_failures) ? Given::whole($counted->pin_failures) : throw $this->locked($user);
    }

    private function locked(User $user): Refusal
    {
        $until = $user->refresh()->pin_locked_until ?? CarbonImmutable::now()->addMinutes(self::LOCKED_MINUTES);

        return Refusal::tooMany('pin_locked', [
            'failures' => self::FAILURES_ALLOWED,
            'minutes' => max(1, (int) ceil(CarbonImmutable::now()->diffInMinutes($until))),
        ]);
    }
}
