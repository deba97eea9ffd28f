<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An instructor who is on the floor, until an instant.
 *
 * @property int $user_id
 * @property CarbonImmutable $until
 * @property User $user
 */
final class Presence extends Model
{
    public $timestamps = false;

    protected $table = 'gate_presences';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['until' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
