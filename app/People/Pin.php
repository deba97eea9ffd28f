<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Hash;

/** Re-authentication at the moment of signing. Five wrong PINs lock it for a quarter of an hour. */
final class Pin
{
    public const FAILURES_ALLOWED = 5;

    private const LOCKED_MINUTES = 15;

    /**
     * Counts a failure outside any transaction of the caller: a refused signature must not undo the count.
     *
     * @throws Refusal `pin_not_set`, `pin_wrong` or `pin_locked`
     */
    public function confirm(User $user, #[\SensitiveParameter] string $pin): void
    {
        $now = CarbonImmutable::now();
        if ($user->pin_hash === null) {
            throw Refusal::forbidden('pin_not_set', 'You have no signing PIN yet. The shop lead can set one.');
        }
        if ($user->pin_locked_until !== null && $now->lessThan($user->pin_locked_until)) {
            throw $this->locked($user->pin_locked_until);
        }
        if (Hash::check($pin, $user->pin_hash)) {
            $user->update(['pin_failures' => 0, 'pin_locked_until' => null]);

            return;
        }
        $failures = $user->pin_failures + 1;
        if ($failures >= self::FAILURES_ALLOWED) {
            $until = $now->addMinutes(self::LOCKED_MINUTES);
            $user->update(['pin_failures' => 0, 'pin_locked_until' => $until]);
            throw $this->locked($until);
        }
        $user->update(['pin_failures' => $failures]);
        $left = self::FAILURES_ALLOWED - $failures;
        throw Refusal::forbidden('pin_wrong', sprintf('That PIN is not right. %d %s left before it is locked.', $left, $left === 1 ? 'attempt' : 'attempts'));
    }

    private function locked(CarbonImmutable $until): Refusal
    {
        return Refusal::tooMany('pin_locked', sprintf('The PIN is locked after %d wrong attempts. Try again after %s UTC, or ask the shop lead.', self::FAILURES_ALLOWED, $until->utc()->format('H:i')));
    }
}
