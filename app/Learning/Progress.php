<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Where one learner is in one lesson.
 *
 * @phpstan-type Answer array{value: string|null, verdict: string|null, value_mm: float|null, units?: 'mm'|'in', at: string}
 *
 * @property string $id
 * @property int $learner_id
 * @property int $lesson_id
 * @property array<string, Answer> $answers by step; a step that is answered to the end is done
 * @property CarbonImmutable|null $completed_at
 * @property string $notes  the learner's own
 * @property Lesson $lesson
 * @property User $learner
 * @property Collection<int, HoldPoint> $holds
 */
final class Progress extends Model
{
    use HasUuids;

    protected $table = 'learning_progress';

    protected $guarded = [];

    protected $attributes = ['answers' => '{}', 'completed_at' => null, 'notes' => ''];

    protected function casts(): array
    {
        return ['answers' => 'array', 'completed_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }

    /** @return BelongsTo<User, $this> */
    public function learner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'learner_id');
    }

    /** @return HasMany<HoldPoint, $this> */
    public function holds(): HasMany
    {
        return $this->hasMany(HoldPoint::class);
    }

    /**
     * Where somebody goes on of all that they have begun of a lesson: in its newest version, or in an older one that still
     * counts and that they are half way through; null where they begin anew.
     *
     * @param  iterable<array-key, self>  $begun  of one learner and one lesson, whatever its version
     */
    public static function goneOnWith(iterable $begun, Lesson $lesson): ?self
    {
        $older = null;
        foreach ($begun as $each) {
            if ($each->lesson_id === $lesson->id) {
                return $each;
            }
            $counts = $each->completed_at === null && $each->answers !== [] && $each->lesson->version >= $lesson->accepted_from;
            if ($counts && ($older === null || $each->lesson->version > $older->lesson->version)) {
                $older = $each;
            }
        }

        return $older;
    }

    public function isDone(string $step): bool
    {
        return in_array($this->answers[$step]['verdict'] ?? null, ['done', 'in', 'right'], true);
    }

    /** The first step that is not done; null when all are. */
    public function nextStep(): ?string
    {
        foreach ($this->lesson->steps as $step) {
            if (! $this->isDone($step['key'])) {
                return $step['key'];
            }
        }

        return null;
    }

    /** What the learner read on the machine's scale with the tip on the work, in millimetres. */
    public function reading(string $kind): ?float
    {
        foreach ($this->lesson->steps as $step) {
            if (($step['reading']['kind'] ?? null) === $kind && $this->isDone($step['key'])) {
                return $this->answers[$step['key']]['value_mm'] ?? null;
            }
        }

        return null;
    }
}
