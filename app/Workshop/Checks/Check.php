<?php

declare(strict_types=1);

namespace App\Workshop\Checks;

use App\People\User;
use App\Workshop\Machine;
use App\Workshop\Tool;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * What was measured of a machine or a drill, and what it came to.
 *
 * @property int $id
 * @property string $key
 * @property CheckKind $kind
 * @property int|null $machine_id
 * @property int|null $tool_id
 * @property array<string, mixed> $given
 * @property array<string, mixed> $found
 * @property int $said_by
 * @property CarbonImmutable $at
 * @property User $by
 * @property Machine|null $machine
 * @property Tool|null $tool
 */
final class Check extends Model
{
    public $timestamps = false;

    protected $table = 'workshop_checks';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['kind' => CheckKind::class, 'given' => 'array', 'found' => 'array', 'at' => 'immutable_datetime'];
    }

    /**
     * Whether it says the very same; JSON keeps no order, and gives 6.0 back as 6.
     *
     * @param  array<string, float|string>  $given
     */
    public function says(CheckKind $kind, Machine|Tool $of, array $given, User $by): bool
    {
        $plain = static function (array $fields): array {
            ksort($fields);

            return array_map(static fn (mixed $value): mixed => is_int($value) ? (float) $value : $value, $fields);
        };

        return [$this->kind, $this->machine_id ?? $this->tool_id, $this->machine_id !== null, $this->said_by, $plain($this->given)]
            === [$kind, $of->id, $of instanceof Machine, $by->id, $plain($given)];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'said_by');
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Tool, $this> also one that was removed since: its log stays readable */
    public function tool(): BelongsTo
    {
        $tool = $this->belongsTo(Tool::class);
        $tool->withoutGlobalScope(SoftDeletingScope::class);

        return $tool;
    }
}
