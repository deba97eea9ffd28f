<?php

declare(strict_types=1);

namespace App\Workshop;

use App\People\User;
use App\Support\PowerLock;
use App\Support\Refusal;
use App\Workshop\Events\MachinePutBack;
use App\Workshop\Events\MachineTakenOutOfService;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a machine out of service, or puts it back; each with its reason, kept for good. */
final class ChangeService
{
    /** @throws Refusal `lead_only` when somebody else than the shop lead puts a machine back, `id_used` */
    public function __invoke(Machine $machine, bool $inService, string $reason, User $by, string $id, ?CarbonImmutable $at = null): Machine
    {
        if ($inService && ! $by->leads()) {
            throw Refusal::forbidden('lead_only');
        }

        return DB::transaction(function () use ($machine, $inService, $reason, $by, $id, $at): Machine {
            $inService || PowerLock::forRestriction();
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $entry = ServiceChange::query()->createOrFirst(
                ['id' => $id],
                [
                    'machine_id' => $machine->id,
                    'in_service' => $inService,
                    'reason' => $reason,
                    'said_by' => $by->id,
                    'at' => $at ?? CarbonImmutable::now(),
                ],
            );
            if (! $entry->wasRecentlyCreated && ! $entry->says($machine, $inService, $reason, $by)) {
                throw Refusal::idUsed();
            }
            if ($entry->wasRecentlyCreated) {
                $machine->update(['in_service' => $inService, 'service_note' => $inService ? null : $reason]);
            }
            $inService
                ? MachinePutBack::dispatch($machine->id, $machine->slug)
                : MachineTakenOutOfService::dispatch($machine->id, $machine->slug);

            return $machine;
        });
    }
}
