<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One learner before one sheet. Open until it is concluded; every mark is kept as it is made.
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
 * @property Sheet $sheet
 * @property User $learner
 * @property User $assessor
 */
final class Attempt extends Model
{
    use HasUuids;

    protected $table = 'assessment_attempts';

    protected $guarded = [];

    protected $attributes = ['marks' => '{}', 'outcome' => null, 'score_percent' => null, 'concluded_at' => null];

    protected function casts(): array
    {
        return ['marks' => 'array', 'started_at' => 'immutable_datetime', 'concluded_at' => 'immutable_datetime'];
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
