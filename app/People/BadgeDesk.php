<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Refusal;

/** Where badges are handed out; the gate keeps them. */
interface BadgeDesk
{
    /**
     * What is known of badges: whose each is, and whether it works. One that was given back is nobody's; one that was lost
     * or replaced may lie anywhere, and stays whose it was.
     *
     * @param  list<string>  $codes
     * @return array<string, array{holder: int, works: bool}> by code
     */
    public function known(#[\SensitiveParameter] array $codes): array;

    /**
     * Hands one out; the one they have is replaced and opens nothing from then on. The same one again is the same one.
     *
     * @throws Refusal `badge_taken` when it is somebody's, or was lost or replaced
     */
    public function issue(User $to, #[\SensitiveParameter] string $code, User $by): void;

    /**
     * Ends the badge they have, if they have one; a turn begun with it ends too.
     *
     * @param  'lost'|'returned'|'replaced'  $because
     */
    public function end(User $of, string $because, User $by): void;

    /** @return array<int, true> by person, who has one that works */
    public function carried(): array;
}
