<?php

declare(strict_types=1);

namespace App\People;

/** What is kept of people where nobody may change it; the ledger's room does. */
interface Remembered
{
    /**
     * Writes down outside of the database that somebody is forgotten, so that a backup from before forgets them again.
     *
     * @throws \RuntimeException when that cannot be written: then nobody is forgotten
     */
    public function note(User $person): void;

    /** Takes away what makes words about them readable. Safe to repeat. */
    public function forget(User $person, User $by): void;
}
