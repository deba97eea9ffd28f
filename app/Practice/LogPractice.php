<?php

declare(strict_types=1);

namespace App\Practice;

use App\Competency\Permit;
use App\People\User;
use App\Practice\Events\PracticeLogged;
use App\Support\Refusal;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/**
 * The learner writes an exercise into their logbook. The same id twice is the same exercise.
 *
 * @phpstan-type Exercise array{id: string, exercise: string, minutes: int, done_on: string, note?: string|null, permit?: string|null,
 *     plan?: string|null, turn?: string|null, chip?: string|null, readings?: string|null, mishap?: string|null}
 */
final class LogPractice
{
    /**
     * @param  Exercise  $exercise
     *
     * @throws Refusal `id_used` when the id stands for another exercise or another learner's, `no_such_permit` for one that
     *     this machine has nothing to do with, `no_such_turn`, `turn_logged`
     */
    public function __invoke(User $learner, Machine $machine, array $exercise): Entry
    {
        $says = self::columns($machine, $exercise);
        $turn = $exercise['turn'] ?? null;

        return DB::transaction(static function () use ($learner, $machine, $exercise, $says, $turn): Entry {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            if ($turn !== null && Entry::query()->where('id', $exercise['id'])->doesntExist()) {
                self::mustBeTheirs($turn, $learner, $machine);
            }
            $entry = Entry::query()->createOrFirst(
                ['id' => $exercise['id']],
                [...$says, 'learner_id' => $learner->id, 'turn_id' => $turn],
            );
            $same = $entry->learner_id === $learner->id && $entry->said() === (new Entry)->forceFill($says)->said();
            if (! $entry->wasRecentlyCreated && ! $same) {
                throw Refusal::idUsed();
            }
            PracticeLogged::dispatch($learner->id);

            return $entry;
        });
    }

    /**
     * @param  Exercise  $exercise
     * @return array<string, mixed>
     *
     * @throws Refusal `no_such_permit`
     */
    public static function columns(Machine $machine, array $exercise): array
    {
        $code = $exercise['permit'] ?? null;
        $permit = $code === null || $code === '' ? null : Permit::furtherAt($machine)->firstWhere('code', $code)
            ?? throw Refusal::because('no_such_permit');

        return [
            'machine_id' => $machine->id, 'permit_id' => $permit?->id, 'exercise' => $exercise['exercise'],
            'minutes' => (int) $exercise['minutes'], 'done_on' => $exercise['done_on'], 'note' => $exercise['note'] ?? null,
            'plan_id' => $exercise['plan'] ?? null, 'chip' => $exercise['chip'] ?? null,
            'readings' => $exercise['readings'] ?? null, 'mishap' => $exercise['mishap'] ?? null,
        ];
    }

    /**
     * A turn at the gate is one learner's at one machine, and is logged once.
     *
     * @throws Refusal
     */
    private static function mustBeTheirs(string $turn, User $learner, Machine $machine): void
    {
        // The gate stands above this room: its table is looked at, its classes are not.
        DB::table('gate_sessions')->where('id', $turn)->where('user_id', $learner->id)->where('machine_id', $machine->id)
            ->whereNotNull('ended_at')->exists() || throw Refusal::because('no_such_turn');
        Entry::query()->where('turn_id', $turn)->doesntExist() || throw Refusal::because('turn_logged');
    }
}
