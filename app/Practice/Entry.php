<?php

declare(strict_types=1);

namespace App\Practice;

use App\Competency\Permit;
use App\People\User;
use App\Planning\Plan;
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
 * @property string|null $plan_id  that it was made after
 * @property string|null $turn_id  at the gate, that filled in machine and minutes
 * @property string|null $chip  what the chip looked like
 * @property string|null $readings  as the learner wrote them
 * @property string|null $mishap
 * @property list<array{by: string, at: string, why: string, was: array<string, mixed>}> $edits  what it said before
 * @property 'waiting'|'confirmed'|'declined'|'returned' $state
 * @property string|null $reason
 * @property CarbonImmutable|null $decided_at
 * @property CarbonImmutable $created_at
 * @property User $learner
 * @property User|null $decider
 * @property Machine $machine
 * @property Plan|null $plan
 * @property Permit|null $permit
 */
final class Entry extends Model
{
    use HasUuids;

    protected $table = 'practice_entries';

    protected $guarded = [];

    /** What a chip may have looked like: curls, short pieces, powder, long strings, blue, packed in the flutes. */
    public const CHIPS = ['curls', 'short', 'powder', 'strings', 'blue', 'packed'];

    protected $attributes = [
        'state' => 'waiting', 'note' => null, 'reason' => null, 'decided_at' => null, 'decided_by' => null, 'plan_id' => null,
        'turn_id' => null, 'chip' => null, 'readings' => null, 'mishap' => null, 'edits' => '[]', 'permit_id' => null,
    ];

    protected function casts(): array
    {
        return ['done_on' => 'immutable_date', 'decided_at' => 'immutable_datetime', 'edits' => 'array'];
    }

    /**
     * What a learner says of it, as it is compared and kept.
     *
     * @return array<string, mixed>
     */
    public function said(): array
    {
        return [
            'machine_id' => $this->machine_id, 'permit_id' => $this->permit_id, 'exercise' => $this->exercise, 'minutes' => $this->minutes,
            'done_on' => $this->done_on->toDateString(), 'note' => (string) $this->note, 'plan_id' => $this->plan_id,
            'chip' => $this->chip, 'readings' => (string) $this->readings, 'mishap' => (string) $this->mishap,
        ];
    }

    public function isOpen(): bool
    {
        return in_array($this->state, ['waiting', 'returned'], true);
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

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
