<?php

declare(strict_types=1);

namespace App\Workshop\Gauges;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A gauge held against something that is known. Written once; a wrong one is followed by a right one.
 *
 * @property string $id
 * @property int $gauge_id
 * @property CarbonImmutable $checked_on
 * @property string $against
 * @property float $zero_error_mm
 * @property CarbonImmutable $due_on
 * @property int $checked_by
 * @property User $checker
 */
final class GaugeCheck extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $table = 'workshop_gauge_checks';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['checked_on' => 'immutable_date', 'due_on' => 'immutable_date', 'zero_error_mm' => 'float'];
    }

    /** @return BelongsTo<User, $this> */
    public function checker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'checked_by');
    }
}
