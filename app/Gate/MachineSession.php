<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use App\Support\BootsByName;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Gate\Turn;
use MillStep\Core\Policy\ShopPolicy;

/**
 * A person at a machine, from the badge that let them in to the badge that ended it.
 *
 * @property string $id
 * @property int $machine_id
 * @property int $user_id
 * @property string $decision
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $ended_at
 * @property array<string, mixed> $request
 * @property int|null $companion_id
 * @property int|null $supervisor_id
 * @property CarbonImmutable|null $confirmed_at
 * @property string|null $ended_because
 * @property list<string> $end_reasons
 * @property User|null $companion
 * @property User|null $supervisor
 * @property User $user
 * @property Machine $machine
 */
final class MachineSession extends Model
{
    use BootsByName;
    use HasUuids;

    public $timestamps = false;

    protected $table = 'gate_sessions';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $guarded = [];

    protected $attributes = [
        'ended_at' => null,
        'request' => '{}',
        'end_reasons' => '[]',
        'companion_id' => null,
        'supervisor_id' => null,
        'confirmed_at' => null,
        'ended_because' => null,
    ];

    protected function casts(): array
    {
        return [
            'started_at' => 'immutable_datetime',
            'ended_at' => 'immutable_datetime',
            'confirmed_at' => 'immutable_datetime',
            'request' => 'array',
            'end_reasons' => 'array',
        ];
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

    /** @return BelongsTo<User, $this> */
    public function companion(): BelongsTo
    {
        return $this->belongsTo(User::class, 'companion_id');
    }

    /** @return BelongsTo<User, $this> who watches a supervised turn */
    public function supervisor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'supervisor_id');
    }

    /** As the core judges it. */
    public function turn(ShopPolicy $policy): Turn
    {
        return new Turn(
            Decision::from($this->decision),
            $this->started_at,
            $this->confirmed_at ?? $this->started_at,
            $policy->turnIdleMinutes,
        );
    }
}
