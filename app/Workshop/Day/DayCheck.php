<?php

declare(strict_types=1);

namespace App\Workshop\Day;

use App\People\User;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That somebody looked at a part of a machine at the start of the day, and how they found it.
 *
 * @property string $key
 * @property int $machine_id
 * @property DayPart $part
 * @property bool $good
 * @property int $said_by
 * @property CarbonImmutable $at
 * @property User $by
 */
final class DayCheck extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'workshop_day_checks';

    protected $primaryKey = 'key';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['part' => DayPart::class, 'good' => 'boolean', 'at' => 'immutable_datetime'];
    }

    public function says(Machine $machine, DayPart $part, bool $good, User $by): bool
    {
        return [$this->machine_id, $this->part, $this->good, $this->said_by] === [$machine->id, $part, $good, $by->id];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'said_by');
    }
}
