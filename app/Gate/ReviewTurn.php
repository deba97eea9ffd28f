<?php

declare(strict_types=1);

namespace App\Gate;

use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Gate\Supervision;

/** Decides an open turn anew, as if its badge were read now, and ends it when as much is no longer allowed as was given. */
final class ReviewTurn
{
    public function __construct(private readonly DecideAccess $decide, private readonly EndTurn $end)
    {
    }

    /** The turn at a machine after it was decided anew, or null. */
    public function at(int $machineId): ?MachineSession
    {
        return DB::transaction(function () use ($machineId): ?MachineSession {
            return $this->now(Moment::at($machineId));
        });
    }

    /** The same for a caller who holds the machine's lock already. */
    public function now(Moment $moment): ?MachineSession
    {
        $session = $moment->open;
        if ($session === null) {
            return null;
        }
        if ($session->turn($moment->policy)->isAbandoned($moment->now)) {
            ($this->end)($session, $moment->policy, 'idle', $moment->now);

            return null;
        }
        if ($session->decision === Decision::Supervised->value && $session->supervisor_id === null) {
            $this->nameSupervisor($moment, $session);
        }
        $reasons = $this->endsBecause($moment);
        if ($reasons !== null) {
            ($this->end)($session, $moment->policy, 'revoked', $moment->now, $reasons);

            return null;
        }

        return $session;
    }

    /** @return non-empty-list<string>|null why the open turn of that moment does not go on; null where it does, or there is none */
    public function endsBecause(Moment $moment): ?array
    {
        $session = $moment->open;
        if ($session === null) {
            return null;
        }
        if ($moment->badgeLost) {
            return ['badge_lost'];
        }
        $decided = ($this->decide)($moment, $session->user, $session->request, Company::of($session));
        if (! $decided->asksForSupervisor() && $session->turn($moment->policy)->goesOn($decided->access, $moment->now)) {
            return null;
        }
        $reasons = [...$decided->access->reasons, ...$decided->refused()];

        // Else a limit has come that this turn never said anything about.
        return $reasons === [] ? ['request_unsaid'] : $reasons;
    }

    /** A supervised turn from before anybody was named: whoever is on the floor and may has it, else it ends as unsupervised. */
    private function nameSupervisor(Moment $moment, MachineSession $session): void
    {
        $free = Supervision::of($moment->onTheFloor(), $session->user_id, $moment->policy->supervisedAtOnce)->choices[0] ?? null;
        $free === null || $session->update(['supervisor_id' => $free->id]);
    }
}
