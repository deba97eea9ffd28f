<?php

declare(strict_types=1);

namespace App\People;

/** Whose record is whose to see, and whose to decide on. */
final class LearnerPolicy
{
    /** Learners see their own record and nobody else's; who teaches them and who audits see it too. */
    public function viewRecord(User $user, User $learner): bool
    {
        return $learner->learns() && ($user->reaches($learner) || $user->audits() || $user->is($learner));
    }

    /** Who teaches a learner decides, marks and signs for them; holding somebody back is open to whoever teaches. */
    public function teachLearner(User $user, User $learner): bool
    {
        return $learner->learns() && $user->reaches($learner);
    }
}
