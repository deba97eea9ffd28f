<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\OnTheFloor;
use App\People\User;
use App\Support\DatabaseClock;

final class PresentNow implements OnTheFloor
{
    public function has(User $user): bool
    {
        return $user->active && $user->teaches()
            && Presence::query()->where('user_id', $user->id)->where('until', '>', DatabaseClock::now())->exists();
    }
}
