<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Permit;
use App\People\User;
use App\Workshop\Machine;

/** Who puts a screen or reader to a machine, and takes it away. */
final class MachinePolicy
{
    /** The lead, or whoever may sign for what the machine takes. */
    public function pair(User $user, Machine $machine): bool
    {
        // Whom one signs for is read once, however many machines are asked about.
        return $user->leads() || ($user->teaches() && Permit::ofMachine($machine)->modelKeys() !== []
            && $user->loadMissing('signsFor')->signsFor->find(Permit::ofMachine($machine)->modelKeys())->isNotEmpty());
    }
}
