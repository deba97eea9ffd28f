<?php

declare(strict_types=1);

namespace App\People;

/** Whose class is whose to teach. */
final class CohortPolicy
{
    public function teachCohort(User $user, Cohort $cohort): bool
    {
        return $user->teaches() && Cohort::reachedBy($user)->contains('id', $cohort->id);
    }
}
