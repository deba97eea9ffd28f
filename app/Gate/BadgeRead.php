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
 * @property int|null $badge_id
 * @property int|null $supervisor_id
 * @property list<string> $refused  why a companion or supervisor does not do
 * @property list<array{id: int, name: string}> $supervisors  who could be chosen
 * @property 'decision'|'asks'|'in_use'|'finished'|'present' $event
 * @property 'alone'|'supervised'|'no'|null $decision
 * @property list<string> $reasons
 * @property list<mixed> $missing  needs with their parts; words in reads of long ago
 * @property list<string> $asks
 * @property list<array<string, mixed>> $scopes
 * @property list<array<string, mixed>> $further  what each further permit covered
 * @property array<string, mixed> $request
 * @property CarbonImmutable $read_at
 * @property User|null $user
 * @property User|null $holder
 * @property User|null $supervisor
 * @property MachineSession|null $session
 */
final class BadgeRead extends Model
{
    use BootsByName;
    use HasUuids;

    /** What an answer needs to be shown. */
    public const SHOWN = ['user', 'holder', 'session', 'supervisor'];

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
        'badge_id' => null,
        'supervisor_id' => null,
        'refused' => '[]',
        'supervisors' => '[]',
    ];

    protected function casts(): array
    {
        return [
            'reasons' => 'array',
            'missing' => 'array',
            'asks' => 'array',
            'scopes' => 'array',
            'further' => 'array',
            'refused' => 'array',
            'supervisors' => 'array',
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

    /** @return BelongsTo<User, $this> */
    public function supervisor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'supervisor_id');
    }

    /** @return BelongsTo<MachineSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(MachineSession::class);
    }

    /**
     * The interlock closes for an allowed decision, while the very turn that it began is open; and stays as it is while a turn that
     * goes on anyway is asked for its companion. For nothing else.
     */
    public function allows(): bool
    {
        $allowed = match ($this->event) {
            'decision' => in_array($this->decision, ['alone', 'supervised'], true),
            'asks' => true,
            default => false,
        };

        return $allowed && $this->session !== null && $this->session->ended_at === null;
    }
}
