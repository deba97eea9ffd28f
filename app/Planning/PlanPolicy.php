<?php

declare(strict_types=1);

namespace App\Planning;

use App\People\User;

/** Whose plans are seen and changed by whom; Plan::visibleTo says the same for a list. */
final class PlanPolicy
{
    /** Learners see the shop's plans and their own; whoever teaches sees those of their learners too. */
    public function view(User $user, Plan $plan): bool
    {
        return $plan->owner_id === $user->id || ! $plan->owner->learns() || $user->reaches($plan->owner);
    }

    /** Whoever teaches minds the shop's plans; a learner their own. */
    public function update(User $user, Plan $plan): bool
    {
        return $plan->owner_id === $user->id || ($user->teaches() && ! $plan->owner->learns());
    }
}
