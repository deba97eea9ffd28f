<?php

declare(strict_types=1);

namespace App\Assessment\Photos;

use App\Assessment\SheetAttempt;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A photograph of a sheet, of one of its criteria or of the part as a whole. The picture itself lies on the media disk.
 *
 * @property string $id
 * @property string $attempt_id
 * @property string|null $criterion
 * @property string $path
 * @property int $width
 * @property int $height
 * @property int $bytes
 * @property string $sha256  of what was sent
 * @property int $by_id
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable $recorded_at
 * @property SheetAttempt $attempt
 * @property User $by
 */
final class Photo extends Model
{
    use HasUuids;

    public const DISK = 'media';

    public $timestamps = false;

    protected $table = 'assessment_photos';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['made_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<SheetAttempt, $this> */
    public function attempt(): BelongsTo
    {
        return $this->belongsTo(SheetAttempt::class, 'attempt_id');
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'by_id');
    }
}
