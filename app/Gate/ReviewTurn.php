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
        $turn = $session->turn($moment->policy);
        if ($turn->isAbandoned($moment->now)) {
            ($this->end)($session, $moment->policy, 'idle');

            return null;
        }
        $access = ($this->decide)($moment, $session->user, $session->request, $session->companion)->access;
        if (! $turn->goesOn($access, $moment->now)) {
            ($this->end)($session, $moment->policy, 'revoked', $access->reasons === [] ? ['request_unsaid'] : $access->reasons);

            return null;
        }

        return $session;
    }
}
