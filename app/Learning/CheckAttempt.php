<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use MillStep\Core\Learning\Check\Paper;

/**
 * One sitting of a safety check. The seed and the bank's version are the paper.
 *
 * @property string $id
 * @property int $check_id
 * @property int $learner_id
 * @property int $seed
 * @property array<string, list<string>>|null $answers
 * @property array<string, mixed>|null $result
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $submitted_at
 * @property int|null $paper_by  who gave it out on paper
 * @property int|null $typed_by  who typed its answers in
 * @property Check $check
 * @property User $learner
 * @property User|null $printer
 * @property User|null $typist
 */
final class CheckAttempt extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'learning_attempts';

    protected $guarded = [];

    protected $attributes = ['answers' => null, 'result' => null, 'submitted_at' => null, 'paper_by' => null, 'typed_by' => null];

    protected function casts(): array
    {
        return ['answers' => 'array', 'result' => 'array', 'started_at' => 'immutable_datetime', 'submitted_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Check, $this> */
    public function check(): BelongsTo
    {
        return $this->belongsTo(Check::class);
    }

    /** @return BelongsTo<User, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'learner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function printer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'paper_by');
    }

    /** @return BelongsTo<User, $this> */
    public function typist(): BelongsTo
    {
        return $this->belongsTo(User::class, 'typed_by');
    }

    /** When the time is over, for a check that has a limit. On paper whoever gives it out looks at the clock. */
    public function endsAt(): ?CarbonImmutable
    {
        return $this->check->minutes === null || $this->paper_by !== null ? null : $this->started_at->addMinutes($this->check->minutes);
    }

    public function paper(): Paper
    {
        return $this->check->bank()->draw($this->seed);
    }
}
