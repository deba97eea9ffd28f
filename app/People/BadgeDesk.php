<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Refusal;

/** Where badges are handed out; the gate keeps them. */
interface BadgeDesk
{
    /** Whose badge this is now, or was once; null for one that nobody ever had. */
    public function holderOf(#[\SensitiveParameter] string $code): ?int;

    /**
     * Hands one out; the one they have is replaced and opens nothing from then on. The same one again is the same one.
     *
     * @throws Refusal `badge_taken` when it is, or was, somebody's
     */
    public function issue(User $to, #[\SensitiveParameter] string $code, User $by): void;

    /**
     * Ends the badge they have, if they have one; a turn begun with it ends too.
     *
     * @param  'lost'|'returned'|'replaced'  $because
     */
    public function end(User $of, string $because, User $by): void;

    /** Whether that very badge works for them. */
    public function carries(?User $person, #[\SensitiveParameter] string $code): bool;

    /** @return array<int, true> by person, who has one that works */
    public function carried(): array;
}
