<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\Learning\Check;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

/**
 * One question asked again, so that it is kept.
 *
 * @property string $id
 * @property int $learner_id
 * @property int $check_id
 * @property string $question
 * @property int $seed
 * @property list<string>|null $answer
 * @property array<string, mixed>|null $line
 * @property bool|null $right
 * @property CarbonImmutable $asked_at
 * @property CarbonImmutable|null $answered_at
 * @property Check $check
 * @property User $learner
 */
final class Recall extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $table = 'learning_recalls';

    protected $guarded = [];

    protected $attributes = ['answer' => null, 'line' => null, 'right' => null, 'answered_at' => null];

    protected function casts(): array
    {
        return [
            'answer' => 'array', 'line' => 'array', 'right' => 'boolean', 'asked_at' => 'immutable_datetime',
            'answered_at' => 'immutable_datetime',
        ];
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

    /** @throws \MillStep\Core\Border\InvalidInput when its version has no such question: never, a version does not change */
    public function drawn(): DrawnQuestion
    {
        return $this->check->bank()->question($this->question, $this->seed);
    }
}
