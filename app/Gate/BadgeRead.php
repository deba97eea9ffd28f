<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the gate answered to one badge.
 *
 * @property string $id
 * @property int $machine_id
 * @property int|null $user_id
 * @property 'decision'|'finished'|'present' $event
 * @property 'alone'|'supervised'|'no'|null $decision
 * @property list<string> $reasons
 * @property list<string> $missing
 * @property CarbonImmutable $read_at
 * @property User|null $user
 */
final class BadgeRead extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'gate_reads';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $guarded = [];

    protected $attributes = ['user_id' => null, 'decision' => null];

    protected function casts(): array
    {
        return ['reasons' => 'array', 'missing' => 'array', 'request' => 'array', 'read_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** The interlock closes for an allowed decision and for nothing else. */
    public function allows(): bool
    {
        return $this->event === 'decision' && in_array($this->decision, ['alone', 'supervised'], true);
    }
}
