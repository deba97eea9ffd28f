<?php

declare(strict_types=1);

namespace App\Workshop;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A machine taken out of service or put back, with the reason.
 *
 * @property string $id
 * @property int $machine_id
 * @property int|null $said_by
 * @property bool $in_service
 * @property string $reason
 * @property CarbonImmutable $at
 * @property User|null $by
 */
final class ServiceChange extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'workshop_services';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['in_service' => 'boolean', 'at' => 'immutable_datetime'];
    }

    public function says(Machine $machine, bool $inService, string $reason, User $by): bool
    {
        return [$this->machine_id, $this->in_service, $this->reason, $this->said_by] === [$machine->id, $inService, $reason, $by->id];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'said_by');
    }
}
