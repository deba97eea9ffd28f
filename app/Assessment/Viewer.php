<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;

/**
 * Who looks at a sheet, and so what of it is shown: two who read the same size do not see each other's reading until both are in;
 * two who assess the same work do not see each other's verdicts until the second has said theirs.
 */
enum Viewer: string
{
    case Assessor = 'assessor';
    case Second = 'second';
    case Learner = 'learner';
    /** Whoever only reads records. */
    case Reader = 'reader';

    public static function of(User $user, SheetAttempt $attempt): self
    {
        return match (true) {
            $attempt->learner->is($user) => self::Learner,
            $attempt->isSecond($user) && $attempt->second_done_at === null => self::Second,
            $user->teaches() => self::Assessor,
            default => self::Reader,
        };
    }

    /** Whose marks they see as the sheet's own. */
    public function seat(): Seat
    {
        return $this === self::Second ? Seat::Second : Seat::Assessor;
    }

    /** A learner sees verdicts when the sheet has ended. */
    public function seesVerdicts(SheetAttempt $attempt): bool
    {
        return $this !== self::Learner || ! $attempt->isOpen();
    }

    public function seesSecond(SheetAttempt $attempt): bool
    {
        return $this === self::Second || $attempt->second_done_at !== null;
    }
}
