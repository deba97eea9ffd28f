<?php

declare(strict_types=1);

namespace App\People;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 * @property CarbonImmutable $starts_on
 */
final class Cohort extends Model
{
    protected $table = 'people_cohorts';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['starts_on' => 'immutable_date'];
    }

    /** @return HasMany<User, $this> */
    public function learners(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
