<?php

declare(strict_types=1);

namespace App\Learning;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A step that waits for the instructor's look.
 *
 * @property int $id
 * @property string $progress_id
 * @property string $step
 * @property CarbonImmutable $asked_at
 * @property CarbonImmutable|null $opened_at
 * @property CarbonImmutable|null $sent_back_at  null again once the learner has asked anew
 * @property string|null $sent_back_reason
 * @property Progress $progress
 */
final class HoldPoint extends Model
{
    public $timestamps = false;

    protected $table = 'learning_holds';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['asked_at' => 'immutable_datetime', 'opened_at' => 'immutable_datetime', 'sent_back_at' => 'immutable_datetime'];
    }

    /** @return Builder<self> those that an instructor is waited for at */
    public static function awaited(): Builder
    {
        return self::query()->whereNull('opened_at')->whereNull('sent_back_at');
    }

    /** Whether an instructor is waited for. */
    public function waits(): bool
    {
        return $this->opened_at === null && $this->sent_back_at === null;
    }

    /** @return BelongsTo<Progress, $this> */
    public function progress(): BelongsTo
    {
        return $this->belongsTo(Progress::class);
    }
}
