<?php

declare(strict_types=1);

namespace App\Practice;

use App\People\User;
use App\Practice\Events\PracticeLogged;
use App\Support\Refusal;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/** The learner writes an exercise into their logbook. The same id twice is the same exercise. */
final class LogPractice
{
    /**
     * @param  array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null}  $exercise
     *
     * @throws Refusal `id_used` when the id stands for another exercise or another learner's
     */
    public function __invoke(User $learner, Machine $machine, array $exercise): Entry
    {
        return DB::transaction(static function () use ($learner, $machine, $exercise): Entry {
            $entry = Entry::query()->createOrFirst(
                ['id' => $exercise['id']],
                [...$exercise, 'learner_id' => $learner->id, 'machine_id' => $machine->id],
            );
            if (! $entry->wasRecentlyCreated && ! $entry->says($learner, $machine, $exercise)) {
                throw Refusal::idUsed();
            }
            PracticeLogged::dispatch($learner->id);

            return $entry;
        });
    }
}
