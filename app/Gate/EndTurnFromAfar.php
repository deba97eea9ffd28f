<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use App\Policy\Policy;
use App\Support\DatabaseClock;
use App\Support\PowerLock;
use Illuminate\Support\Facades\DB;

/** Somebody who teaches ends a turn without going to the machine. */
final class EndTurnFromAfar
{
    public function __construct(private readonly EndTurn $end)
    {
    }

    public function __invoke(MachineSession $session, User $by): void
    {
        DB::transaction(function () use ($session, $by): void {
            PowerLock::forDecision($session->machine_id);
            $open = MachineSession::query()->with(['user', 'machine.permits'])->whereKey($session->id)->whereNull('ended_at')->first();
            $open !== null && ($this->end)($open, Policy::inForce(), 'ended_by_instructor', DatabaseClock::now(), [], $by);
        });
    }
}
