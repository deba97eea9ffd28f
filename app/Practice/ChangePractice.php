<?php

declare(strict_types=1);

namespace App\Practice;

use App\People\User;
use App\Practice\Events\PracticeLogged;
use App\Support\Refusal;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What was written into the logbook is put right before it is decided: by its learner, who hands it in again by that, or by whoever
 * teaches, with a reason. What it said before is kept beside it. The same again changes nothing.
 *
 * @phpstan-import-type Exercise from LogPractice
 */
final class ChangePractice
{
    /**
     * @param  Exercise  $exercise
     *
     * @throws Refusal `already_decided`, `no_such_permit`
     */
    public function __invoke(Entry $entry, User $by, Machine $machine, array $exercise, ?string $why): Entry
    {
        $says = LogPractice::columns($machine, $exercise);

        return DB::transaction(static function () use ($entry, $by, $says, $why): Entry {
            $entry = Entry::query()->lockForUpdate()->findOrFail($entry->id);
            $entry->isOpen() || throw Refusal::because('already_decided', says: 'already_'.$entry->state);
            $was = $entry->said();
            $own = $entry->learner_id === $by->id;
            $changed = (new Entry)->forceFill($says)->said() !== $was;
            $entry->fill($says);
            if ($own && $entry->state === 'returned') {
                $entry->fill(['state' => 'waiting', 'reason' => null, 'decided_by' => null, 'decided_at' => null]);
            }
            if ($changed && ! $own) {
                $entry->edits = [...$entry->edits, [
                    'by' => $by->name, 'at' => CarbonImmutable::now()->toIso8601ZuluString(), 'why' => (string) $why, 'was' => $was,
                ]];
            }
            $entry->save();
            PracticeLogged::dispatch($entry->learner_id);

            return $entry;
        });
    }
}
