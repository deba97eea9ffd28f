<?php

declare(strict_types=1);

namespace App\Workshop\Day;

use App\People\User;
use App\Support\Refusal;
use App\Workshop\ChangeService;
use App\Workshop\Events\MachineChecked;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** One tap at the start of the day. What is found not in order takes the machine out of service, at once. */
final class SayDayCheck
{
    public function __construct(private readonly ChangeService $change)
    {
    }

    /**
     * @param  string  $reason  why it stands still then, in the words of whoever says so
     *
     * @throws Refusal `id_used`
     */
    public function __invoke(Machine $machine, DayPart $part, bool $good, string $reason, User $by, string $key): Machine
    {
        return DB::transaction(function () use ($machine, $part, $good, $reason, $by, $key): Machine {
            $good || ($this->change)($machine, false, $reason, $by, $key);
            $check = DayCheck::query()->createOrFirst(['key' => $key], [
                'machine_id' => $machine->id, 'part' => $part, 'good' => $good, 'said_by' => $by->id, 'at' => CarbonImmutable::now(),
            ]);
            if (! $check->wasRecentlyCreated && ! $check->says($machine, $part, $good, $by)) {
                throw Refusal::idUsed();
            }
            MachineChecked::dispatch($machine->slug);

            return $machine->refresh();
        });
    }
}
