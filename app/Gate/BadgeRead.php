<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use App\Support\BootsByName;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the gate answered to one badge.
 *
 * @property string $id
 * @property int $machine_id
 * @property int $device_id
 * @property string $fingerprint
 * @property string|null $session_id
 * @property int|null $user_id
 * @property int|null $holder_id
 * @property 'decision'|'asks'|'in_use'|'finished'|'present' $event
 * @property 'alone'|'supervised'|'no'|null $decision
 * @property list<string> $reasons
 * @property list<string> $missing
 * @property list<string> $asks
 * @property list<array<string, mixed>> $scopes
 * @property list<array<string, mixed>> $further  what each further permit covered
 * @property CarbonImmutable $read_at
 * @property User|null $user
 * @property User|null $holder
 * @property MachineSession|null $session
 */
final class BadgeRead extends Model
{
    use BootsByName;
    use HasUuids;

    /** What an answer needs to be shown. */
    public const SHOWN = ['user', 'holder', 'session'];

    public $timestamps = false;

    protected $table = 'gate_reads';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $guarded = [];

    protected $attributes = [
        'user_id' => null,
        'decision' => null,
        'reasons' => '[]',
        'missing' => '[]',
        'asks' => '[]',
        'scopes' => '[]',
        'further' => '[]',
        'session_id' => null,
        'holder_id' => null,
    ];

    protected function casts(): array
    {
        return [
            'reasons' => 'array',
            'missing' => 'array',
            'asks' => 'array',
            'scopes' => 'array',
            'further' => 'array',
            'request' => 'array',
            'guess' => 'boolean',
            'read_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(User::class, 'holder_id');
    }

    /** @return BelongsTo<MachineSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(MachineSession::class);
    }

    /** The interlock closes for an allowed decision, while the very turn that it began is open, and for nothing else. */
    public function allows(): bool
    {
        return $this->event === 'decision' && in_array($this->decision, ['alone', 'supervised'], true)
            && $this->session !== null && $this->session->ended_at === null;
    }
}
