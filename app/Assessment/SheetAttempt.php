<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One learner before one sheet. Open until it is concluded or cancelled; every mark is kept as it is made.
 *
 * @phpstan-type Mark array{result?: string|int, value_mm?: float, dx_mm?: float, dy_mm?: float, typed?: string, typed_dx?: string,
 *     typed_dy?: string, units?: 'mm'|'in'}
 *
 * @property string $id
 * @property int $learner_id
 * @property int $assessor_id
 * @property array<string, Mark> $marks by criterion
 * @property string|null $outcome
 * @property string|null $score_percent
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $concluded_at
 * @property CarbonImmutable|null $cancelled_at
 * @property string|null $cancelled_because
 * @property int|null $cancelled_by
 * @property Sheet $sheet
 * @property User $learner
 * @property User $assessor
 */
final class SheetAttempt extends Model
{
    use HasUuids;

    /** What it takes to score and show one. */
    public const SHOWN = ['sheet.part', 'sheet.boundMachine', 'learner', 'assessor'];

    protected $table = 'assessment_attempts';

    protected $guarded = [];

    protected $attributes = ['marks' => '{}', 'outcome' => null, 'score_percent' => null, 'concluded_at' => null, 'cancelled_at' => null];

    protected function casts(): array
    {
        return [
            'marks' => 'array',
            'started_at' => 'immutable_datetime',
            'concluded_at' => 'immutable_datetime',
            'cancelled_at' => 'immutable_datetime',
        ];
    }

    /** @return Builder<self> with what it takes to score and show them */
    public static function withSheet(): Builder
    {
        return self::query()->with(self::SHOWN);
    }

    /** @return Builder<self> neither concluded nor cancelled */
    public static function stillOpen(): Builder
    {
        return self::query()->whereNull('concluded_at')->whereNull('cancelled_at');
    }

    public function isOpen(): bool
    {
        return $this->concluded_at === null && $this->cancelled_at === null;
    }

    /** @throws Refusal `concluded`, `cancelled` */
    public function mustBeOpen(): void
    {
        $this->isOpen() || throw Refusal::because($this->concluded_at === null ? 'cancelled' : 'concluded');
    }

    /** @return BelongsTo<Sheet, $this> */
    public function sheet(): BelongsTo
    {
        return $this->belongsTo(Sheet::class);
    }

    /** @return BelongsTo<User, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'learner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function assessor(): BelongsTo
    {
        return $this->belongsTo(User::class, 'assessor_id');
    }
}
