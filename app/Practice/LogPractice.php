<?php

declare(strict_types=1);

namespace App\Practice;

use App\Competency\Permit;
use App\People\User;
use App\Practice\Events\PracticeLogged;
use App\Support\Refusal;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/** The learner writes an exercise into their logbook. The same id twice is the same exercise. */
final class LogPractice
{
    /**
     * @param  array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null, permit?: string|null}  $exercise
     *
     * @throws Refusal `id_used` when the id stands for another exercise or another learner's, `no_such_permit` for one that
     *     this machine has nothing to do with
     */
    public function __invoke(User $learner, Machine $machine, array $exercise): Entry
    {
        $code = $exercise['permit'] ?? null;
        $permit = $code === null || $code === '' ? null : Permit::furtherAt($machine)->firstWhere('code', $code)
            ?? throw Refusal::because('no_such_permit');

        return DB::transaction(static function () use ($learner, $machine, $exercise, $permit): Entry {
            $entry = Entry::query()->createOrFirst(
                ['id' => $exercise['id']],
                [
                    ...array_diff_key($exercise, ['permit' => 0]),
                    'learner_id' => $learner->id,
                    'machine_id' => $machine->id,
                    'permit_id' => $permit?->id,
                ],
            );
            if (! $entry->wasRecentlyCreated && ! $entry->says($learner, $machine, $permit, $exercise)) {
                throw Refusal::idUsed();
            }
            PracticeLogged::dispatch($learner->id);

            return $entry;
        });
    }
}
