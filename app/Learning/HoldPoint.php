<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
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
 * @property int|null $opened_by
 * @property bool $opened_here  on the learner's device, by that person's PIN
 * @property CarbonImmutable|null $disowned_at  when that person said that it was not them
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
        return [
            'asked_at' => 'immutable_datetime', 'opened_at' => 'immutable_datetime', 'sent_back_at' => 'immutable_datetime',
            'opened_here' => 'boolean', 'disowned_at' => 'immutable_datetime',
        ];
    }

    /** @return Builder<self> those that an instructor is waited for at */
    public static function awaited(): Builder
    {
        return self::query()->whereNull('opened_at')->whereNull('sent_back_at');
    }

    /** @return Builder<self> those of the last day that were opened on a learner's device by this person's PIN */
    public static function openedHereBy(User $user): Builder
    {
        return self::query()->where('opened_by', $user->id)->where('opened_here', true)
            ->where('opened_at', '>', CarbonImmutable::now()->subDay());
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
