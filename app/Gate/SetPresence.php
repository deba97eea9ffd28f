<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\PresenceChanged;
use App\People\User;
use App\Policy\Policy;
use App\Support\PowerLock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** On the floor, or off it. Supervised turns stand and fall with it. */
final class SetPresence
{
    /** @return CarbonImmutable|null until when they are on the floor */
    public function __invoke(User $user, bool $present): ?CarbonImmutable
    {
        return DB::transaction(static function () use ($user, $present): ?CarbonImmutable {
            $present || PowerLock::forRestriction();
            $until = $present ? CarbonImmutable::now()->addMinutes(Policy::inForce()->presenceMinutes) : CarbonImmutable::now();
            Presence::query()->updateOrCreate(['user_id' => $user->id], ['until' => $until]);
            PresenceChanged::dispatch($user->id);

            return $present ? $until : null;
        });
    }
}
