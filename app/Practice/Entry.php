<?php

declare(strict_types=1);

namespace App\Practice;

use App\Competency\Permit;
use App\People\User;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One exercise in a learner's logbook. It counts once an instructor has confirmed it.
 *
 * @property string $id
 * @property int $learner_id
 * @property int $machine_id
 * @property int|null $permit_id  a further permit that it was for
 * @property string $exercise
 * @property int $minutes
 * @property CarbonImmutable $done_on
 * @property string|null $note
 * @property 'waiting'|'confirmed'|'declined' $state
 * @property string|null $reason
 * @property CarbonImmutable|null $decided_at
 * @property CarbonImmutable $created_at
 * @property User $learner
 * @property User|null $decider
 * @property Machine $machine
 * @property Permit|null $permit
 */
final class Entry extends Model
{
    use HasUuids;

    protected $table = 'practice_entries';

    protected $guarded = [];

    protected $attributes = ['state' => 'waiting', 'note' => null, 'reason' => null, 'decided_at' => null, 'decided_by' => null];

    protected function casts(): array
    {
        return ['done_on' => 'immutable_date', 'decided_at' => 'immutable_datetime'];
    }

    /** @param  array{exercise: string, minutes: int, done_on: string, note?: string|null}  $exercise */
    public function says(User $learner, Machine $machine, ?Permit $permit, array $exercise): bool
    {
        return [
            $this->learner_id,
            $this->machine_id,
            $this->permit_id,
            $this->exercise,
            $this->minutes,
            $this->done_on->toDateString(),
            (string) $this->note,
        ]
            === [
                $learner->id,
                $machine->id,
                $permit?->id,
                $exercise['exercise'],
                (int) $exercise['minutes'],
                $exercise['done_on'],
                (string) ($exercise['note'] ?? ''),
            ];
    }

    /** Whether it would count for a permit once it is confirmed. */
    public function countsFor(Permit $permit): bool
    {
        return $this->permit_id === null ? Permit::neededAt($this->machine)->contains('id', $permit->id)
            : $this->permit_id === $permit->id;
    }

    /** @return BelongsTo<User, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'learner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }

    /** @return BelongsTo<Permit, $this> */
    public function permit(): BelongsTo
    {
        return $this->belongsTo(Permit::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
