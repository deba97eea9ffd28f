<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\TokenReused;
use App\People\User;
use App\Support\BootsByName;
use App\Support\Given;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as AuthenticatableContract;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\HasApiTokens;

/**
 * A screen or badge reader at one machine. It knows nothing but its machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $name
 * @property string|null $pairing_id
 * @property int|null $paired_by
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $last_seen_at
 * @property CarbonImmutable|null $revoked_at
 * @property CarbonImmutable|null $slowed_until
 * @property Machine $machine
 * @property User|null $pairedBy
 * @property Collection<int, Token> $tokens
 */
final class Device extends Model implements AuthenticatableContract
{
    use Authenticatable;
    use BootsByName;

    /** @use HasApiTokens<Token> */
    use HasApiTokens;

    /** How exactly "last seen" is kept, in seconds. */
    private const SEEN_EVERY_S = 30;

    protected $table = 'gate_devices';

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'created_at' => 'immutable_datetime',
            'last_seen_at' => 'immutable_datetime',
            'revoked_at' => 'immutable_datetime',
            'slowed_until' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<User, $this> */
    public function pairedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'paired_by');
    }

    /** Whose token that is, in one query; a token that is over, or of a device that was revoked, is nobody's. */
    public static function carrying(#[\SensitiveParameter] ?string $bearer): ?self
    {
        [$id, $secret] = array_pad(explode('|', $bearer ?? '', 2), 2, '');
        if (preg_match('/^\d{1,18}$/', $id) !== 1) {
            return null;
        }
        $row = DB::selectOne('SELECT gate_device(?) AS found', [$id]);
        /**
         * @var array{device: array<string, mixed>, token: array{id: int, name: string, token: string,
         *     expires_at: string|null, first_used_at: string|null, replaced_at: string|null}}|null $found
         */
        $found = json_decode(Given::text($row->found ?? 'null'), true, 16, JSON_THROW_ON_ERROR);
        if ($found === null || ! hash_equals($found['token']['token'], hash('sha256', $secret))
            || ($found['token']['expires_at'] !== null && CarbonImmutable::parse($found['token']['expires_at'])->isPast())) {
            return null;
        }
        $device = (new self)->newFromBuilder($found['device']);
        $token = (new Token)->newFromBuilder($found['token']);
        if ($found['token']['replaced_at'] !== null) {
            // It was given up for another, which was used: whoever still has it is somebody else.
            TokenReused::dispatch($device->name, $device->machine->slug);

            return null;
        }
        $found['token']['first_used_at'] === null && $token->takeOver();

        return $device->withAccessToken($token);
    }

    public function tokenExpiresAt(): ?CarbonImmutable
    {
        $token = $this->currentAccessToken();

        return $token instanceof Token && $token->expires_at !== null ? CarbonImmutable::instance($token->expires_at) : null;
    }

    /** Notes that it is there. */
    public function seen(): void
    {
        $now = CarbonImmutable::now();
        if ($this->last_seen_at !== null && $this->last_seen_at->addSeconds(self::SEEN_EVERY_S)->greaterThan($now)) {
            return;
        }
        $this->update(['last_seen_at' => $now]);
    }
}
