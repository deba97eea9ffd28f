<?php

declare(strict_types=1);

namespace App\Gate;

use Illuminate\Support\Facades\DB;

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
            ($this->end)($session, $moment->policy, 'idle');

            return null;
        }
        $reasons = $this->endsBecause($moment);
        if ($reasons !== null) {
            ($this->end)($session, $moment->policy, 'revoked', $reasons);

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
        $access = ($this->decide)($moment, $session->user, $session->request, $session->companion)->access;
        if ($session->turn($moment->policy)->goesOn($access, $moment->now)) {
            return null;
        }

        // A limit has come that this turn never said anything about.
        return $access->reasons === [] ? ['request_unsaid'] : $access->reasons;
    }
}
