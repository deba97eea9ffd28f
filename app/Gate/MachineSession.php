<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A person at a machine, from the badge that let them in to the badge that ended it.
 *
 * @property string $id
 * @property int $machine_id
 * @property int $user_id
 * @property string $decision
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $ended_at
 * @property User $user
 * @property Machine $machine
 */
final class MachineSession extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'gate_sessions';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $guarded = [];

    protected $attributes = ['ended_at' => null];

    protected function casts(): array
    {
        return ['started_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    public static function openAt(Machine $machine): ?self
    {
        return self::query()->with(['user', 'machine.permits'])->where('machine_id', $machine->id)->whereNull('ended_at')->first();
    }
}
