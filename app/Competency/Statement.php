<?php

declare(strict_types=1);

namespace App\Competency;

use App\Language\SpeaksLanguages;
use App\Support\BootsByName;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What learner and instructor put their names to.
 *
 * @property int $id
 * @property int $permit_id
 * @property int $version
 * @property string $body
 * @property CarbonImmutable $in_force_from
 * @property CarbonImmutable|null $grace_until
 */
final class Statement extends Model
{
    use BootsByName;
    use SpeaksLanguages;

    public $timestamps = false;

    protected $table = 'competency_statements';

    protected $guarded = [];

    public static function spoken(): array
    {
        return ['body'];
    }

    protected function casts(): array
    {
        return ['in_force_from' => 'immutable_datetime', 'grace_until' => 'immutable_datetime'];
    }
}
