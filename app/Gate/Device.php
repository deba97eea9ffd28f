<?php

declare(strict_types=1);

namespace App\Gate;

use App\Workshop\Machine;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as AuthenticatableContract;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Laravel\Sanctum\HasApiTokens;

/**
 * A screen or badge reader at one machine. It knows nothing but its machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $name
 * @property Machine $machine
 */
final class Device extends Model implements AuthenticatableContract
{
    use Authenticatable;

    /** @use HasApiTokens<Token> */
    use HasApiTokens;

    protected $table = 'gate_devices';

    protected $guarded = [];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
