<?php

declare(strict_types=1);

namespace App\Records;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something that the shop lead and the auditor must see, until one of them says that they have.
 *
 * @property int $id
 * @property string $kind  as RaisesAlert has them
 * @property array<string, mixed> $facts
 * @property CarbonImmutable $raised_at
 * @property CarbonImmutable|null $seen_at
 * @property User|null $seenBy
 */
final class Alert extends Model
{
    public $timestamps = false;

    protected $table = 'records_alerts';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['facts' => 'array', 'raised_at' => 'immutable_datetime', 'seen_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function seenBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'seen_by');
    }
}
