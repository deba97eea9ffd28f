<?php

declare(strict_types=1);

namespace App\People;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * @property int $id
 * @property string $name
 * @property CarbonImmutable $starts_on
 * @property CarbonImmutable|null $ends_on
 */
final class Cohort extends Model
{
    protected $table = 'people_cohorts';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['starts_on' => 'immutable_date', 'ends_on' => 'immutable_date'];
    }

    /** @return Collection<int, self> those that somebody teaches, by name */
    public static function reachedBy(User $user): Collection
    {
        return $user->leads() || $user->all_cohorts ? self::query()->orderBy('name')->get() : $user->cohorts()->get();
    }

    /** @return BelongsToMany<User, $this> learners, and who teaches them */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'people_memberships');
    }
}
