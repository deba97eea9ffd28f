<?php

declare(strict_types=1);

namespace App\Practice;

use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\People\User;
use App\Practice\Events\PracticeDecided;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The instructor confirms an exercise, which makes it count, declines it with a reason, or returns it with a note, so that the
 * learner puts it right and hands it in again.
 */
final class DecideOnPractice
{
    public function __construct(private readonly RecordEntry $record)
    {
    }

    /** @throws Refusal `own_record`, `already_decided` */
    public function __invoke(
        Entry $entry,
        User $by,
        bool $confirm,
        ?string $reason = null,
        ?CarbonImmutable $at = null,
        bool $back = false,
    ): Entry {
        return DB::transaction(function () use ($entry, $by, $confirm, $reason, $at, $back): Entry {
            $entry = Entry::query()->with(['learner', 'machine.permits'])->lockForUpdate()->findOrFail($entry->id);
            $state = $confirm ? 'confirmed' : ($back ? 'returned' : 'declined');
            if ($entry->learner->is($by)) {
                throw Refusal::forbidden('own_record', says: 'own_practice');
            }
            if ($entry->state === $state) {
                return $entry;
            }
            if ($entry->state !== 'waiting') {
                throw Refusal::because('already_decided', says: 'already_'.$entry->state);
            }
            $at ??= CarbonImmutable::now();
            $entry->update(['state' => $state, 'decided_by' => $by->id, 'decided_at' => $at, 'reason' => $reason]);
            // It counts for the permits that this machine takes, or for the further one that it was for, and for no other.
            foreach ($confirm ? self::counted($entry) : [] as $permit) {
                ($this->record)($entry->learner, $permit, 'practice_confirmed', [
                    'minutes' => $entry->minutes,
                    'exercise' => $entry->exercise,
                    'machine' => $entry->machine->slug,
                    'entry' => $entry->id,
                ], $by, $at);
            }

            PracticeDecided::dispatch($entry->learner_id);

            return $entry;
        });
    }

    /** @return Collection<int, Permit> */
    private static function counted(Entry $entry): Collection
    {
        return $entry->permit_id === null ? Permit::neededAt($entry->machine)
            : Permit::furtherAt($entry->machine)->where('id', $entry->permit_id)->values();
    }
}
