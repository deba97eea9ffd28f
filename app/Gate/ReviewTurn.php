<?php

declare(strict_types=1);

namespace App\Gate;

use App\Support\PowerLock;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
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
        if (MachineSession::query()->where('machine_id', $machineId)->whereNull('ended_at')->doesntExist()) {
            return null;
        }

        return DB::transaction(function () use ($machineId): ?MachineSession {
            PowerLock::forDecision();
            $machine = Machine::query()->with('permits.statements')->lockForUpdate()->findOrFail($machineId);

            return $this->locked($machine);
        });
    }

    /** The same for a caller who has the machine's row locked already. */
    public function locked(Machine $machine): ?MachineSession
    {
        $session = MachineSession::openAt($machine);
        if ($session === null) {
            return null;
        }
        $turn = $session->turn();
        $now = CarbonImmutable::now();
        if ($turn->isAbandoned($now)) {
            ($this->end)($session, 'idle');

            return null;
        }
        $access = ($this->decide)($machine, $session->user, $session->request, $session->companion)->access;
        if (! $turn->goesOn($access, $now)) {
            ($this->end)($session, 'revoked', $access->reasons === [] ? ['request_unsaid'] : $access->reasons);

            return null;
        }

        return $session;
    }
}
