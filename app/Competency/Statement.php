<?php

declare(strict_types=1);

namespace App\Competency;

use App\Support\BootsByName;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What learner and instructor put their names to.
 *
 * @property int $id
 * @property int $version
 * @property string $body
 * @property CarbonImmutable $in_force_from
 * @property CarbonImmutable|null $grace_until
 */
final class Statement extends Model
{
    use BootsByName;

    public $timestamps = false;

    protected $table = 'competency_statements';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['in_force_from' => 'immutable_datetime', 'grace_until' => 'immutable_datetime'];
    }
}
