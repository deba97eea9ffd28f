<?php

declare(strict_types=1);

namespace App\Records;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One change of what decides who may run. Written by the database's own triggers, read here.
 *
 * @property int $id
 * @property CarbonImmutable $at
 * @property string $source the table
 * @property string $row
 * @property 'insert'|'update'|'delete' $change
 * @property array<string, mixed> $before
 * @property array<string, mixed> $after
 * @property User|null $actor
 */
final class AuditLine extends Model
{
    public $timestamps = false;

    protected $table = 'records_audit';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'before' => 'array', 'after' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function actor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'actor_id');
    }
}
