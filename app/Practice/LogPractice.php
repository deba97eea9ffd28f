<?php

declare(strict_types=1);

namespace App\Practice;

use App\People\User;
use App\Workshop\Machine;

/** The learner writes an exercise into their logbook. The same id twice is the same exercise. */
final class LogPractice
{
    /** @param  array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null}  $exercise */
    public function __invoke(User $learner, Machine $machine, array $exercise): Entry
    {
        return Entry::query()->createOrFirst(
            ['id' => $exercise['id'], 'learner_id' => $learner->id],
            [...$exercise, 'machine_id' => $machine->id],
        );
    }
}
