<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/** Gives a screen or reader at a machine a token of its own. */
final class PairDevice
{
    /** @return string the token in clear, to be kept by the device; only its hash stays here */
    public function __invoke(Machine $machine, ?User $by, string $name): string
    {
        return DB::transaction(static fn (): string => Device::query()
            ->create(['machine_id' => $machine->id, 'name' => $name, 'paired_by' => $by?->id])
            ->createToken($name, ['gate'])->plainTextToken);
    }
}
